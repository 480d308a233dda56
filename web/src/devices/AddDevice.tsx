import { Box } from "@chakra-ui/react";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";

import { api, type Refused, type Schemas, taken } from "../shared/api";
import { type Device, LineField, Pick } from "../shared/devices";
import { Fold } from "../shared/Fold";
import { FilePress, Micro, Press, Small } from "../shared/parts";

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
    <Fold title="Add a device" note="by its profile and its address; it is only read">
      <Box
        display="grid"
        gridTemplateColumns={{ base: "1fr", md: "1.2fr 1fr 150px 80px 80px auto" }}
        gap="4px 14px"
        alignItems="end"
      >
        <LineField label="name" value={name} set={setName} />
        <Box as="label">
          <Micro>profile</Micro>
          <Pick
            aria-label="Profile"
            value={file ? "file" : code}
            onChange={(event) => {
              setFile(null);
              setCode(event.target.value);
            }}
          >
            <option value="">choose one</option>
            {file && <option value="file">{file.profile.name}, from a file</option>}
            {(profiles.data ?? []).map((profile) => (
              <option key={profile.code} value={profile.code}>
                {profile.name}
              </option>
            ))}
          </Pick>
        </Box>
        <LineField label="address, in figures" value={host} set={setHost} placeholder="192.168.1.40" />
        <LineField label="port" value={port} set={setPort} />
        <LineField label="device no." value={unit} set={setUnit} />
        <Press type="button" data-add-device onClick={() => add.mutate()}>
          Add it
        </Press>
      </Box>
      <Box display="flex" gap="6px 14px" flexWrap="wrap" alignItems="center" pt="8px">
        <FilePress>
          bring a profile file
          <input
            type="file"
            accept=".json,application/json"
            aria-label="Profile file"
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              if (chosen) void chosen.text().then((text) => look.mutate(text));
            }}
          />
        </FilePress>
        <Small>
          {file
            ? `${file.profile.name}: ${file.profile.registers} registers, ${file.profile.writable} of them may be written.`
            : "Its format is in docs/formats/device-1.schema.json."}
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
