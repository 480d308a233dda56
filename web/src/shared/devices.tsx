import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";

import { api, type Refused, type Schemas, taken } from "./api";
import { span } from "./figures";
import { useJob } from "./job";
import { Micro, Small } from "./parts";
import { say } from "./say";

export type Device = Schemas["DeviceView"];

/** Every device that is kept, with what it said last; nothing is asked. */
export function useDevices() {
  return useQuery<Device[], Refused>({ queryKey: ["devices"], queryFn: () => taken(api.GET("/api/devices")) });
}

interface PickProps {
  which: "device" | "panel";
  label: string;
  help: string;
  kinds: readonly Device["kind"][];
}

/** Choose the device that is set here, or the panel that is read; the job keeps its name and traits. */
export function DevicePick({ which, label, help, kinds }: PickProps) {
  const { desk, view } = useJob();
  const devices = useDevices();
  const chosen = view.document.setup?.[which] ?? "";
  const fitting = (devices.data ?? []).filter(
    (device) =>
      kinds.includes(device.kind) && !device.of_bench && [null, undefined, view.site_name].includes(device.site),
  );
  const choose = (name: string | null) =>
    void desk.does({
      to: "/setup/device",
      body: { which, name },
      label: name ? `${which}, ${name}` : say("devices-no", { which }),
    });
  return (
    <Box as="label" display="block" minWidth={0}>
      <Box fontSize="small" fontWeight={600}>
        {label}
      </Box>
      <Pick aria-label={label} value={chosen} onChange={(event) => choose(event.target.value || null)}>
        <option value="">{say("devices-none-hand")}</option>
        {chosen && !fitting.some((device) => device.name === chosen) && (
          <option value={chosen}>{say("devices-kept-here", { chosen })}</option>
        )}
        {fitting.map((device) => (
          <option key={device.id} value={device.name}>
            {device.name}
          </option>
        ))}
      </Pick>
      <Micro display="block">{help}</Micro>
    </Box>
  );
}

export const Pick = chakra("select", {
  base: {
    width: "100%",
    minHeight: "44px",
    background: "paper",
    border: "1px solid",
    borderColor: "rule",
    px: "6px",
    fontSize: "text",
  },
});

export const Line = chakra("input", {
  base: {
    width: "100%",
    minHeight: "44px",
    background: "transparent",
    border: 0,
    borderBottom: "1px solid",
    borderColor: "rule",
    fontSize: "text",
    px: "2px",
  },
});

interface LineFieldProps {
  label: string;
  value: string;
  set: (text: string) => void;
  placeholder?: string;
}

/** A line of text with its word above it, for what is no field of a job. */
export function LineField({ label, value, set, placeholder }: LineFieldProps) {
  return (
    <Box as="label" minWidth={0}>
      <Micro>{label}</Micro>
      <Line
        aria-label={label}
        value={value}
        placeholder={placeholder}
        maxLength={400}
        onChange={(event) => set(event.target.value)}
      />
    </Box>
  );
}

/** How old an answer is, so that an old value is never taken for a fresh one. */
export function Age({ device }: { device: Device }) {
  if (device.age_s == null) return <Small>{device.trouble ? say("devices-answer") : say("devices-asked-yet")}</Small>;
  const said = span(device.age_s);
  if (device.fresh) return <Small>{say("devices-answered-ago", { said })}</Small>;
  return (
    <Box as="span" color="ochre" fontWeight={600} fontSize="small">
      {say("devices-answer-now", { said })}
    </Box>
  );
}
