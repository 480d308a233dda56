import { DeviceKind, Trouble as TroubleWords } from "../generated/labels";
import { Box } from "@chakra-ui/react";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";

import { TopLine } from "../app/TopLine";
import { api, type Refused, type Schemas, taken } from "../shared/api";
import { Age, type Device, Pick, useDevices } from "../shared/devices";
import { Micro, Press, Small, Word } from "../shared/parts";
import { useReader } from "../shared/reader";
import { UnitsProvider } from "../shared/units";
import { PhraseText } from "../shared/Words";
import { AddDevice } from "./AddDevice";
import { say } from "../shared/say";

/** Every device: whether it answers, what it said and how long ago; simulated devices can be made to do wrong. */
export function DevicesPage() {
  const reader = useReader();
  const devices = useDevices();
  useEffect(() => {
    document.title = say("devices-page-devices-modest");
  }, []);
  return (
    <>
      <TopLine trail={[{ label: say("devices-page-board"), to: "/" }, { label: say("devices-page-devices") }]} />
      <Box as="main" id="main" px={{ base: "14px", lg: "20px" }} pb="30px" maxWidth="1500px">
        <Box borderBottom="2px solid" borderColor="ink">
          <Box as="h1" fontSize="title" fontWeight={600} py="8px">
            {say("devices-page-devices")}
          </Box>
        </Box>
        <Small display="block" py="6px" maxWidth="80ch">
          {say("devices-page-drives-electronic")}
        </Small>
        {devices.error && <Box role="alert">{devices.error.message}</Box>}
        <UnitsProvider units={reader.units ?? "si"} currency={null}>
          {(devices.data ?? []).map((device) => (
            <OneDevice key={device.id} device={device} />
          ))}
        </UnitsProvider>
        <AddDevice />
      </Box>
    </>
  );
}

function OneDevice({ device }: { device: Device }) {
  const queries = useQueryClient();
  const [open, setOpen] = useState(false);
  const renew = () => queries.invalidateQueries({ queryKey: ["devices"] });
  const path = { params: { path: { device_id: device.id } } };
  const ask = useMutation<Device, Refused>({
    mutationFn: () => taken(api.POST("/api/devices/{device_id}/ask", path)),
    onSuccess: () => {
      setOpen(true);
      void renew();
    },
  });
  const withdraw = useMutation<unknown, Refused>({
    mutationFn: () => taken(api.DELETE("/api/devices/{device_id}/authorisation", path)),
    onSettled: renew,
  });
  const remove = useMutation<unknown, Refused>({
    mutationFn: () => taken(api.DELETE("/api/devices/{device_id}", path)),
    onSettled: renew,
  });
  const { who } = useReader();
  const stop = useMutation<Schemas["WriteAnswer"], Refused>({
    mutationFn: () => taken(api.POST("/api/devices/{device_id}/stop", { ...path, body: { who } })),
    // What it holds and does now is asked at once: nobody should have to believe an old figure beside a stop.
    onSettled: () => ask.mutate(),
  });
  const { values } = device;
  const state = device.trouble ? "silent" : device.fresh ? "answers" : say("devices-page-asked");
  return (
    <Box borderTop="1px solid" borderColor="rule" py="6px" data-device={device.name} data-state={state}>
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 1.4fr) minmax(0, 1fr) 330px" }}
        gap="2px 20px"
        alignItems="center"
      >
        <Box>
          <Box fontWeight={600}>{device.name}</Box>
          <Micro>
            {DeviceKind[device.kind]}, {device.profile_name}
            {device.simulated_device ? say("devices-page-simulated") : ""} · {device.address}
          </Micro>
        </Box>
        <Box>
          <Age device={device} />
          {device.authorised_until && (
            <Box color="ochre" fontWeight={600} fontSize="small">
              {say("devices-page-writing-authorised", {
                toLocaleTimeString: new Date(device.authorised_until).toLocaleTimeString(),
                authorised_by: device.authorised_by,
              })}
              <Word type="button" mx="0" px="4px" onClick={() => withdraw.mutate()}>
                {say("devices-page-withdraw")}
              </Word>
            </Box>
          )}
        </Box>
        <Box display="flex" gap="8px" alignItems="center" flexWrap="wrap" justifyContent={{ md: "flex-end" }}>
          <Press type="button" data-ask onClick={() => ask.mutate()} disabled={ask.isPending}>
            {say("devices-page-ask-now")}
          </Press>
          {device.kind !== "meter" && (
            <Press
              type="button"
              color="brick"
              aria-label={say("devices-page-stop-2", { device: device.name })}
              onClick={() => stop.mutate()}
              disabled={stop.isPending}
            >
              {say("devices-page-stop")}
            </Press>
          )}
          {values.length > 0 && (
            <Word type="button" mx="0" onClick={() => setOpen(!open)}>
              {open ? say("devices-page-close") : say("devices-page-values")}
            </Word>
          )}
          {!device.simulated_device && (
            <Word
              type="button"
              mx="0"
              aria-label={say("devices-page-remove-2", { device: device.name })}
              onClick={() => remove.mutate()}
            >
              {say("devices-page-remove")}
            </Word>
          )}
        </Box>
      </Box>
      {stop.error && (
        <Box role="alert" color="brick" fontWeight={600} py="2px">
          {say("devices-page-stop-machine", { message: stop.error.message })}
        </Box>
      )}
      {stop.data && (
        <Box role="status" color={stop.data.agrees ? "ink" : "brick"} py="2px">
          {stop.data.agrees ? say("devices-page-told-stop") : say("devices-page-stopped-stop")}
          {stop.data.outcomes.map((one) => one.sentence).join("; ")}
        </Box>
      )}
      {device.trouble && (
        <Box role="alert" color="ochre" fontWeight={600} py="2px">
          {device.trouble}
        </Box>
      )}
      {open && (
        <>
          <Values device={device} />
          {(device.wrongs ?? []).length > 0 && <Wrong device={device} renew={() => void renew()} />}
        </>
      )}
    </Box>
  );
}

function Values({ device }: { device: Device }) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "1fr", md: "repeat(auto-fill, minmax(300px, 1fr))" }}
      columnGap="24px"
      pt="6px"
      opacity={device.fresh ? 1 : 0.6}
    >
      {device.values.map((value) => (
        <Box
          key={value.role}
          display="flex"
          justifyContent="space-between"
          gap="10px"
          borderTop="1px solid"
          borderColor="hair"
          fontSize="small"
          py="3px"
        >
          <span>
            {value.words}{" "}
            <Micro>{`${value.kind} ${value.address}${value.writable ? say("devices-page-may-written") : ""}`}</Micro>
          </span>
          <b>{value.refused ? <Box color="brick">{value.refused}</Box> : <PhraseText phrase={value.shown} />}</b>
        </Box>
      ))}
    </Box>
  );
}

/** What a simulated device is made to do wrong, and how a simulated panel errs. */
function Wrong({ device, renew }: { device: Device; renew: () => void }) {
  const path = { params: { path: { device_id: device.id } } };
  const set = useMutation<Device, Refused, Schemas["Trouble"]>({
    mutationFn: (trouble) => taken(api.PUT("/api/devices/{device_id}/trouble", { ...path, body: { trouble } })),
    onSuccess: renew,
  });
  const err = useMutation<Device, Refused, Schemas["PanelIn"]>({
    mutationFn: (body) => taken(api.PUT("/api/devices/{device_id}/panel", { ...path, body })),
    onSuccess: renew,
  });
  const now = {
    noise: shareOf(device, "noise"),
    drop_outs: shareOf(device, "drop_outs"),
    drift: shareOf(device, "drift"),
  };
  return (
    <Box display="flex" gap="6px 20px" flexWrap="wrap" alignItems="end" pt="8px">
      <Box as="label" width="200px">
        <Micro>{say("devices-page-let-do")}</Micro>
        <Pick
          aria-label={say("devices-page-let-do-wrong", { device: device.name })}
          value={device.wrong ?? "none"}
          onChange={(event) => set.mutate(event.target.value as Schemas["Trouble"])}
        >
          {(device.wrongs ?? []).map((trouble) => (
            <option key={trouble} value={trouble}>
              {TroubleWords[trouble]}
            </option>
          ))}
        </Pick>
      </Box>
      {device.kind === "meter" &&
        (
          [
            ["noise", say("devices-page-noise"), [0, 0.004, 0.02, 0.05]],
            ["drop_outs", say("devices-page-answers-dropped"), [0, 0.1, 0.3]],
            ["drift", say("devices-page-drift"), [-0.05, 0, 0.02, 0.05]],
          ] as const
        ).map(([name, label, choices]) => (
          <Box as="label" key={name} width="130px">
            <Micro>{label}</Micro>
            <Pick
              aria-label={say("devices-page-of", { label, device: device.name })}
              value={nearest(choices, now[name])}
              onChange={(event) => err.mutate({ ...now, [name]: Number(event.target.value) })}
            >
              {choices.map((choice) => (
                <option key={choice} value={choice}>
                  {100 * choice} %
                </option>
              ))}
            </Pick>
          </Box>
        ))}
      {(set.error ?? err.error) && <Box role="alert">{(set.error ?? err.error)?.message}</Box>}
    </Box>
  );
}

function shareOf(device: Device, role: string): number {
  const piece = device.values.find((value) => value.role === role)?.shown[0];
  return piece && typeof piece !== "string" ? piece.value : 0;
}

function nearest(choices: readonly number[], value: number): number {
  return choices.reduce((best, one) => (Math.abs(one - value) < Math.abs(best - value) ? one : best));
}
