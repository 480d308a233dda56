import { Box } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useEffect } from "react";

import { TopLine } from "../app/TopLine";
import { api, type Refused, type Schemas, taken } from "../shared/api";
import { Micro, SeverityWord } from "../shared/parts";
import { STATIONS } from "../shared/stations";

type Rule = Schemas["RuleFacts"];

/** Every rule of judgement: what it watches, from where on it speaks, and on whose authority. */
export function Rules() {
  const rules = useQuery<Rule[], Refused>({
    queryKey: ["rules"],
    queryFn: () => taken(api.GET("/api/rules")),
    staleTime: Infinity,
  });
  useEffect(() => {
    document.title = "Rules · Modest Rotor";
  }, []);
  return (
    <>
      <TopLine trail={[{ label: "Board", to: "/" }, { label: "Rules" }]} />
      <Box as="main" id="main" px={{ base: "14px", lg: "20px" }} pb="30px" maxWidth="1500px">
        <Box as="h1" fontSize="title" fontWeight={600} py="8px" borderBottom="2px solid" borderColor="ink">
          Rules
        </Box>
        {rules.error && <Box role="alert">{rules.error.message}</Box>}
        {STATIONS.map((station) => {
          const own = (rules.data ?? []).filter((rule) => rule.station === station.id);
          if (own.length === 0) return null;
          return (
            <Box as="section" key={station.id} pt="12px" aria-label={station.title}>
              <Box as="h2" fontWeight={600}>
                {station.title}
              </Box>
              {own.map((rule) => (
                <RuleRow key={rule.rule} rule={rule} />
              ))}
            </Box>
          );
        })}
      </Box>
    </>
  );
}

function RuleRow({ rule }: { rule: Rule }) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={{
        base: "76px minmax(0, 1fr)",
        md: "76px minmax(0, 1.2fr) minmax(0, 1.2fr) minmax(0, 1.4fr)",
      }}
      gap="2px 14px"
      py="7px"
      borderBottom="1px solid"
      borderColor="hair"
    >
      <Box>
        <SeverityWord severity={rule.severity} />
      </Box>
      <Box>
        {rule.watches}
        <Micro display="block">
          {rule.rule.replaceAll("_", " ")}
          {rule.repair && " · repair first"}
        </Micro>
      </Box>
      <Box gridColumn={{ base: "2", md: "auto" }}>{rule.threshold}</Box>
      <Micro gridColumn={{ base: "2", md: "auto" }}>{rule.source}</Micro>
    </Box>
  );
}
