import { Box } from "@chakra-ui/react";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";

import { api, type Refused, type Schemas, taken } from "../shared/api";
import { type Device, LineField, Pick } from "../shared/devices";
import { Fold } from "../shared/Fold";
import { FilePress, Micro, Press, Small } from "../shared/parts";
import { say } from "../shared/say";

type Profile = Schemas["ProfileLine"];

/** A device of one's own: a profile that ships or a file of one's own, and where it answers. */
export function AddDevice() {
  const queries = useQueryClient();
  const profiles = useQuery<Profile[], Refused>({
    queryKey: ["profiles"],
    queryFn: () => taken(api.GET("/api/profiles")),
  });
  const [name, setName] = useState("");
  const [code, setCode] = useState("");
  const [file, setFile] = useState<{ text: string; profile: Profile } | null>(null);
  const [host, setHost] = useState("");
  const [port, setPort] = useState("502");
  const [unit, setUnit] = useState("1");
  const look = useMutation<Profile, Refused, string>({
    mutationFn: (text) => taken(api.POST("/api/profiles/look", { body: { text } })),
    onSuccess: (profile, text) => setFile({ text, profile }),
  });
  const add = useMutation<Device, Refused>({
    mutationFn: () =>
      taken(
        api.POST("/api/devices", {
          body: {
            name,
            code: file ? null : code || null,
            text: file?.text ?? null,
            host,
            port: Number(port) || 0,
            unit: Number(unit) || 0,
          },
        }),
      ),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ["devices"] });
      setName("");
      setFile(null);
    },
  });
  const error = look.error ?? add.error;
  return (
    <Fold title={say("add-device-add-device")} note={say("add-device-profile-address")}>
      <Box
        display="grid"
        gridTemplateColumns={{ base: "1fr", md: "1.2fr 1fr 150px 80px 80px auto" }}
        gap="4px 14px"
        alignItems="end"
      >
        <LineField label={say("add-device-name")} value={name} set={setName} />
        <Box as="label">
          <Micro>{say("add-device-profile")}</Micro>
          <Pick
            aria-label={say("add-device-profile-2")}
            value={file ? "file" : code}
            onChange={(event) => {
              setFile(null);
              setCode(event.target.value);
            }}
          >
            <option value="">{say("add-device-choose-one")}</option>
            {file && <option value="file">{say("add-device-file", { profile: file.profile.name })}</option>}
            {(profiles.data ?? []).map((profile) => (
              <option key={profile.code} value={profile.code}>
                {profile.name}
              </option>
            ))}
          </Pick>
        </Box>
        <LineField label={say("add-device-address-figures")} value={host} set={setHost} placeholder="192.168.1.40" />
        <LineField label={say("add-device-port")} value={port} set={setPort} />
        <LineField label={say("add-device-device")} value={unit} set={setUnit} />
        <Press type="button" data-add-device onClick={() => add.mutate()}>
          {say("add-device-add")}
        </Press>
      </Box>
      <Box display="flex" gap="6px 14px" flexWrap="wrap" alignItems="center" pt="8px">
        <FilePress>
          {say("add-device-bring-profile")}
          <input
            type="file"
            accept=".json,application/json"
            aria-label={say("add-device-profile-file")}
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              if (chosen) void chosen.text().then((text) => look.mutate(text));
            }}
          />
        </FilePress>
        <Small>
          {file
            ? say("add-device-registers-them", {
                profile: file.profile.name,
                registers: file.profile.registers,
                writable: file.profile.writable,
              })
            : say("add-device-format-docs")}
        </Small>
      </Box>
      {error && (
        <Box role="alert" color="brick" fontWeight={600} pt="4px">
          {error.message}
        </Box>
      )}
    </Fold>
  );
}
