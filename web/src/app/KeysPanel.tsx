import { Box, chakra } from "@chakra-ui/react";
import { type ReactNode, useEffect, useRef } from "react";

import { choose, type Language, language, LANGUAGES, type Signs, signs, SIGNS_SHOWN } from "../shared/language";
import { Press, Small } from "../shared/parts";
import { useReader } from "../shared/reader";
import { say } from "../shared/say";

const KEYS: readonly [string, string][] = [
  [say("keys-panel-alt-alt"), say("keys-panel-station-one")],
  [say("keys-panel-alt-key"), say("keys-panel-job-short")],
  ["B", say("keys-panel-board-outside")],
  [say("keys-panel-enter-outside"), say("keys-panel-one-thing")],
  [say("keys-panel-enter-field"), say("keys-panel-keep-go")],
  [say("keys-panel-tab-shift"), say("keys-panel-next-field")],
  [say("keys-panel-f-field"), say("keys-panel-what-means")],
  ["↑ ↓", say("keys-panel-field-above")],
  [say("keys-panel-alt"), say("keys-panel-same-quantity")],
  [say("keys-panel-enter-space"), say("keys-panel-working")],
  [say("keys-panel-esc"), say("keys-panel-close-working")],
  [say("keys-panel-ctrl-z"), say("keys-panel-undo-redo")],
  ["N", say("keys-panel-add-set")],
  ["L", say("keys-panel-loud-while")],
  ["F, S, R", say("keys-panel-meter-bench")],
  [say("keys-panel-enter-o"), say("keys-panel-bench-turn")],
  [say("keys-panel-slash-or"), say("keys-panel-find-job")],
  ["?", say("keys-panel-panel-outside")],
];

const SCHEMES = [
  ["light", say("keys-panel-light")],
  ["dark", say("keys-panel-dark")],
  ["sunlight", say("keys-panel-sunlight")],
] as const;
const UNITS = [
  { units: null, label: say("keys-panel-each-site") },
  { units: "ip", label: say("keys-panel-cfm-w") },
  { units: "si", label: "L/s, Pa, W" },
] as const;

/** Keep a choice of language or signs, and read the page anew in it. */
function readIn(to: { language?: Language; signs?: Signs }) {
  choose(to);
  window.location.reload();
}

/** The reader's own name and scheme, and every key. */
export function KeysPanel({ close }: { close: () => void }) {
  const reader = useReader();
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <Panel ref={dialog} onClose={close} aria-label={say("keys-panel-you-keys")}>
      <Box display="flex" justifyContent="space-between" alignItems="center" borderBottom="2px solid" borderColor="ink">
        <Box as="h2" fontSize="title" fontWeight={600}>
          {say("keys-panel-you-keys")}
        </Box>
        <Press type="button" onClick={() => dialog.current?.close()} my="6px">
          {say("keys-panel-close")}
        </Press>
      </Box>
      <Box as="label" display="block" py="8px" borderBottom="1px solid" borderColor="hair">
        <b>{say("keys-panel-your-name")}</b> <Small>{say("keys-panel-goes-every")}</Small>
        <Name value={reader.who} maxLength={120} onChange={(event) => reader.setWho(event.target.value)} />
      </Box>
      <Choice title={say("keys-panel-units")}>
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
      <Choice title={say("keys-panel-language")}>
        {LANGUAGES.map(([tag, called]) => (
          <Press
            key={tag}
            type="button"
            lang={tag}
            aria-pressed={language() === tag}
            onClick={() => readIn({ language: tag })}
            textDecoration={language() === tag ? "underline" : "none"}
          >
            {called}
          </Press>
        ))}
      </Choice>
      <Choice title={say("keys-panel-numbers")}>
        {SIGNS_SHOWN.map(([kind, shown]) => (
          <Press
            key={kind}
            type="button"
            aria-pressed={signs() === kind}
            onClick={() => readIn({ signs: kind })}
            textDecoration={signs() === kind ? "underline" : "none"}
          >
            {shown}
          </Press>
        ))}
        <Small>{say("keys-panel-numbers-typed")}</Small>
      </Choice>
      <Choice title={say("keys-panel-screen")}>
        {SCHEMES.map(([scheme, called]) => (
          <Press
            key={scheme}
            type="button"
            aria-pressed={reader.scheme === scheme}
            onClick={() => reader.setScheme(scheme)}
            textDecoration={reader.scheme === scheme ? "underline" : "none"}
          >
            {called}
          </Press>
        ))}
      </Choice>
      <Choice title={say("keys-panel-single-keys")}>
        {([true, false] as const).map((on) => (
          <Press
            key={String(on)}
            type="button"
            aria-pressed={reader.singleKeys === on}
            onClick={() => reader.setSingleKeys(on)}
            textDecoration={reader.singleKeys === on ? "underline" : "none"}
          >
            {on ? say("keys-panel-on") : say("keys-panel-off")}
          </Press>
        ))}
        <Small>{say("keys-panel-those-stand")}</Small>
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
