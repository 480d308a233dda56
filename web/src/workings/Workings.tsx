import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Link, useParams } from "react-router";

import { TopLine } from "../app/TopLine";
import { api, type Refused, type Schemas, taken } from "../shared/api";
import { Small } from "../shared/parts";
import { useReader } from "../shared/reader";
import { UnitsProvider } from "../shared/units";
import { OneWorking } from "./OneWorking";
import { say } from "../shared/say";

type Facts = Schemas["CalculationFacts"];

/** Every calculation by itself: pick one, type what is known, and read the result with its working. */
export function Workings() {
  const { name } = useParams();
  const reader = useReader();
  const [sought, setSought] = useState("");
  const all = useQuery<Facts[], Refused>({
    queryKey: ["calculations"],
    queryFn: () => taken(api.GET("/api/calculations")),
    staleTime: Infinity,
  });
  useEffect(() => {
    document.title = say("workings-workings-modest");
  }, []);
  const shown = (all.data ?? []).filter((one) => answersTo(one, sought));
  const chosen = all.data?.find((one) => one.name === name);
  return (
    <UnitsProvider units={reader.units ?? "si"} currency={null}>
      <TopLine trail={[{ label: say("workings-board"), to: "/" }, { label: say("workings-workings") }]} />
      <Box as="main" id="main" display="grid" gridTemplateColumns={{ base: "1fr", md: "290px minmax(0, 1fr)" }}>
        <Box
          as="nav"
          aria-label={say("workings-all-workings")}
          display={{ base: chosen ? "none" : "block", md: "block" }}
          borderRight={{ md: "1px solid" }}
          borderColor={{ md: "rule" }}
          px="14px"
          pb="30px"
          background={{ md: "desk" }}
          maxHeight={{ md: "calc(100dvh - 46px)" }}
          overflowY={{ md: "auto" }}
          position={{ md: "sticky" }}
          top={{ md: "46px" }}
        >
          <Find>
            {say("workings-find")}
            <FindBox
              value={sought}
              placeholder={say("workings-slip-torque")}
              onChange={(event) => setSought(event.target.value)}
            />
          </Find>
          {all.error && <Box role="alert">{all.error.message}</Box>}
          {groupsOf(shown).map(([group, ones]) => (
            <Box key={group} pt="12px">
              <Small display="block" fontWeight={600}>
                {group}
              </Small>
              {ones.map((one) => (
                <Entry
                  key={one.name}
                  to={`/workings/${one.name}`}
                  aria-current={one.name === name ? "page" : undefined}
                >
                  {one.label}
                </Entry>
              ))}
            </Box>
          ))}
          {all.data && shown.length === 0 && <Box pt="12px">{say("workings-working-answers", { sought })}</Box>}
        </Box>
        <Box px={{ base: "14px", lg: "26px" }} pt="10px" pb="30px" maxWidth="760px">
          {chosen ? (
            <OneWorking key={chosen.name} facts={chosen} />
          ) : (
            <Box pt="14px">
              <Box as="h1" fontSize="title" fontWeight={600} srOnly={{ base: true, md: false }}>
                {say("workings-workings")}
              </Box>
              {say("workings-pick-one", { name: name && all.data ? say("workings-there-working", { name }) : "" })}
            </Box>
          )}
        </Box>
      </Box>
    </UnitsProvider>
  );
}

function answersTo(one: Facts, sought: string) {
  const text =
    `${one.label} ${one.name} ${one.group} ${one.outputs.map((output) => output.label).join(" ")}`.toLowerCase();
  return sought
    .trim()
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}

function groupsOf(all: Facts[]): [string, Facts[]][] {
  const names = [...new Set(all.map((one) => one.group))];
  return names.map((name) => [name, all.filter((one) => one.group === name)]);
}

const Entry = chakra(Link, {
  base: {
    display: "flex",
    alignItems: "center",
    minHeight: "44px",
    py: "4px",
    lineHeight: 1.2,
    px: "8px",
    mx: "-8px",
    textDecoration: "none",
    _hover: { background: "paper" },
    _currentPage: { fontWeight: 600, background: "paper", borderLeft: "3px solid", borderColor: "ink" },
  },
});

const Find = chakra("label", {
  base: {
    display: "flex",
    alignItems: "center",
    gap: "10px",
    minHeight: "52px",
    borderBottom: "1.5px solid",
    borderColor: "ink",
  },
});

const FindBox = chakra("input", {
  base: { flex: 1, minWidth: 0, minHeight: "44px", border: 0, background: "transparent" },
});
