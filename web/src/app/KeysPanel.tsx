import { Box, chakra } from "@chakra-ui/react";
import { type ReactNode, useEffect, useRef } from "react";

import { Press, Small } from "../shared/parts";
import { useReader } from "../shared/reader";

const KEYS: readonly [string, string][] = [
  ["Alt 1 … Alt 9, Alt 0", "station one to nine, and the tenth"],
  ["Alt with the key left of 1", "the job in short"],
  ["B", "Board (outside a field)"],
  ["Enter, outside a field", "the one thing to do next, at the foot"],
  ["Enter, in a field", "keep it, and go to the next best reading"],
  ["Tab, Shift Tab", "next field, field before"],
  ["F1, in a field", "what it means"],
  ["↑ ↓", "field above, field below"],
  ["Alt ← →", "same quantity, other set"],
  ["Enter or Space, on a figure", "its working"],
  ["Esc", "close a working; in a field, put back what was there"],
  ["Ctrl Z, Ctrl Shift Z", "undo, redo"],
  ["N", "add a set or a step (outside a field)"],
  ["L", "loud, while the noise sweep is open on Set-up"],
  ["F, S, R", "on a meter of the Bench: it falls, stays the same, rises"],
  ["Enter, O", "on the Bench: turn what waits; switch the rig off or on"],
  ["/ or Ctrl K", "find a job, on the Board"],
  ["?", "this panel (outside a field)"],
];

const UNITS = [
  { units: null, label: "of each site" },
  { units: "ip", label: "cfm, in. w.g., hp" },
  { units: "si", label: "L/s, Pa, W" },
] as const;

/** The reader's own name and scheme, and every key. */
export function KeysPanel({ close }: { close: () => void }) {
  const reader = useReader();
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <Panel ref={dialog} onClose={close} aria-label="You, and the keys">
      <Box display="flex" justifyContent="space-between" alignItems="center" borderBottom="2px solid" borderColor="ink">
        <Box as="h2" fontSize="title" fontWeight={600}>
          You, and the keys
        </Box>
        <Press type="button" onClick={() => dialog.current?.close()} my="6px">
          close
        </Press>
      </Box>
      <Box as="label" display="block" py="8px" borderBottom="1px solid" borderColor="hair">
        <b>Your name</b> <Small>goes with every change you make from here on; kept on this machine</Small>
        <Name value={reader.who} maxLength={120} onChange={(event) => reader.setWho(event.target.value)} />
      </Box>
      <Choice title="Units">
        {UNITS.map(({ units, label }) => (
          <Press
            key={label}
            type="button"
            aria-pressed={reader.units === units}
            onClick={() => reader.setUnits(units)}
            textDecoration={reader.units === units ? "underline" : "none"}
          >
            {label}
          </Press>
        ))}
      </Choice>
      <Choice title="Screen">
        {(["light", "dark", "sunlight"] as const).map((scheme) => (
          <Press
            key={scheme}
            type="button"
            aria-pressed={reader.scheme === scheme}
            onClick={() => reader.setScheme(scheme)}
            textDecoration={reader.scheme === scheme ? "underline" : "none"}
          >
            {scheme}
          </Press>
        ))}
      </Choice>
      <Choice title="Single keys">
        {([true, false] as const).map((on) => (
          <Press
            key={String(on)}
            type="button"
            aria-pressed={reader.singleKeys === on}
            onClick={() => reader.setSingleKeys(on)}
            textDecoration={reader.singleKeys === on ? "underline" : "none"}
          >
            {on ? "on" : "off"}
          </Press>
        ))}
        <Small>those that stand alone below, outside a field; the ones with Alt or Ctrl stay</Small>
      </Choice>
      <Box as="table" width="100%" borderCollapse="collapse" fontSize="small">
        <tbody>
          {KEYS.map(([key, does]) => (
            <Box as="tr" key={key} borderBottom="1px solid" borderColor="hair">
              <Box as="th" textAlign="left" py="5px" pr="14px" fontWeight={600} whiteSpace="nowrap">
                {key}
              </Box>
              <Box as="td" py="5px">
                {does}
              </Box>
            </Box>
          ))}
        </tbody>
      </Box>
    </Panel>
  );
}

function Choice({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box
      py="8px"
      borderBottom="1px solid"
      borderColor="hair"
      display="flex"
      gap="8px"
      alignItems="center"
      flexWrap="wrap"
    >
      <Box as="b" minWidth="60px">
        {title}
      </Box>
      {children}
    </Box>
  );
}

const Name = chakra("input", {
  base: {
    display: "block",
    width: "100%",
    minHeight: "44px",
    background: "transparent",
    border: 0,
    borderBottom: "1px solid",
    borderColor: "rule",
  },
});

const Panel = chakra("dialog", {
  base: {
    width: "min(560px, 94vw)",
    maxHeight: "94dvh",
    overflow: "auto",
    border: "2px solid",
    borderColor: "ink",
    background: "paper",
    color: "ink",
    padding: "0 20px 20px",
    "&::backdrop": { background: "ink", opacity: 0.25 },
  },
});
