import { Box } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";

import { api, type Refused, type Schemas, taken } from "../shared/api";
import { Micro, SeverityWord } from "../shared/parts";
import { ByStation } from "./ByStation";
import { say } from "../shared/say";
import { RuleWords } from "../generated/labels";

type Rule = Schemas["RuleFacts"];

/** Every rule of judgement: what it watches, from where on it speaks, and on whose authority. */
export function Rules() {
  const rules = useQuery<Rule[], Refused>({
    queryKey: ["rules"],
    queryFn: () => taken(api.GET("/api/rules")),
    staleTime: Infinity,
  });
  return (
    <ByStation
      title={say("rules-rules")}
      items={rules.data}
      error={rules.error}
      row={(rule) => <RuleRow key={rule.rule} rule={rule} />}
    />
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
          {RuleWords[rule.rule] ?? rule.rule}
          {rule.repair && say("rules-repair-first")}
        </Micro>
      </Box>
      <Box gridColumn={{ base: "2", md: "auto" }}>{rule.threshold}</Box>
      <Micro gridColumn={{ base: "2", md: "auto" }}>{rule.source}</Micro>
    </Box>
  );
}
