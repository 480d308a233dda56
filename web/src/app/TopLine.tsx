import { Box, chakra } from "@chakra-ui/react";
import { type MouseEvent, type ReactNode, useState } from "react";
import { Link } from "react-router";

import { Cap } from "../shared/parts";
import { useReader } from "../shared/reader";
import { useUnits } from "../shared/units";
import { KeysPanel } from "./KeysPanel";
import { say } from "../shared/say";

interface TopLineProps {
  /** The way here: the last is this page. */
  trail: { label: string; to?: string; wideOnly?: boolean }[];
  /** Whether sites with units of their own stand on this page. */
  manySites?: boolean;
  /** What stands between the way and the reader's own choices. */
  children?: ReactNode;
}

const UNIT_WORDS = { ip: say("top-line-cfm-w"), si: say("top-line-l-s") } as const;

/** Past the line and the rail, to the page's own heading. */
function skip(event: MouseEvent) {
  event.preventDefault();
  const main = document.querySelector<HTMLElement>("main h1") ?? document.querySelector<HTMLElement>("main");
  main?.setAttribute("tabindex", "-1");
  main?.focus();
}

/** The line above every page: where one is, whether it is saved, and the reader's own choices. */
export function TopLine({ trail, manySites = false, children }: TopLineProps) {
  const reader = useReader();
  const { units } = useUnits();
  const [keys, setKeys] = useState(false);
  const said = reader.units === null && manySites ? say("top-line-units-each") : UNIT_WORDS[units];
  const other = units === "ip" ? "si" : "ip";
  return (
    <Box
      as="header"
      display="flex"
      alignItems="stretch"
      minHeight="45px"
      background="desk"
      borderBottom="1px solid"
      borderColor="rule"
      position="sticky"
      top={0}
      zIndex={4}
      fontSize="small"
    >
      <a href="#main" data-skip onClick={skip}>
        {say("top-line-what-page")}
      </a>
      <Home to="/" aria-label={say("top-line-modest-rotor-board")}>
        {say("top-line-modest-rotor")}
      </Home>
      <Box
        as="nav"
        aria-label={say("top-line-where-you")}
        display="flex"
        alignItems="center"
        gap="8px"
        minWidth={0}
        flex={1}
        px="8px"
      >
        {trail.map(({ label, to, wideOnly = !to }, index) => (
          <Step key={label} last={index === trail.length - 1} from={wideOnly ? "lg" : "base"}>
            {to ? <Way to={to}>{label}</Way> : label}
          </Step>
        ))}
      </Box>
      {children}
      <TopButton
        type="button"
        display={{ base: "none", md: "block" }}
        onClick={() => reader.setUnits(other)}
        aria-label={say("top-line-units-change", { said, UNIT_WORDS: UNIT_WORDS[other] })}
      >
        {said}
      </TopButton>
      <TopButton type="button" data-keys onClick={() => setKeys(true)}>
        {say("top-line-you-keys")}
        <Cap ml="6px">?</Cap>
      </TopButton>
      {keys && <KeysPanel close={() => setKeys(false)} />}
    </Box>
  );
}

const Home = chakra(Link, {
  base: {
    display: { base: "none", md: "flex" },
    alignItems: "center",
    width: { md: "134px", lg: "170px" },
    pl: "16px",
    fontWeight: 600,
    fontSize: "text",
    textDecoration: "none",
    flexShrink: 0,
    boxSizing: "content-box",
  },
});

const Way = chakra(Link, {
  base: { display: "flex", alignItems: "center", minHeight: "44px", textUnderlineOffset: "3px" },
});

/** A step of the way; on narrow screens only the steps that lead somewhere stand before the last. */
function Step({ last, from, children }: { last: boolean; from: "base" | "lg"; children: ReactNode }) {
  const shown = last || from === "base" ? "block" : { base: "none", lg: "block" };
  return (
    <>
      <Box
        fontWeight={last ? 600 : 400}
        whiteSpace={last ? "normal" : "nowrap"}
        lineHeight={1.15}
        flexShrink={last ? 1 : 0}
        display={shown}
      >
        {children}
      </Box>
      {!last && (
        <Box aria-hidden color="ink2" display={shown}>
          /
        </Box>
      )}
    </>
  );
}

export const TopButton = chakra("button", {
  base: {
    minHeight: "44px",
    px: "14px",
    borderLeft: "1px solid",
    borderColor: "rule",
    whiteSpace: "nowrap",
    _hover: { background: "paper" },
    _disabled: { color: "ink2", cursor: "default" },
    _focusVisible: { outlineOffset: "-4px" },
  },
});
