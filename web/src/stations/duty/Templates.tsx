import { Box } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";

import { api, type Refused, type Schemas, taken } from "../../shared/api";
import { Fold } from "../../shared/Fold";
import { useJob } from "../../shared/job";
import { Press, Small } from "../../shared/parts";
import { say } from "../../shared/say";
import { counted } from "../../shared/language";

/** Years by kind of building, to begin with where nobody knows better. */
export function Templates() {
  return (
    <Fold title={say("templates-begin-kind")} note={say("templates-every-hour")}>
      <List />
    </Fold>
  );
}

function List() {
  const { desk } = useJob();
  const templates = useQuery<readonly Schemas["DutyTemplate"][], Refused>({
    queryKey: ["duty templates"],
    queryFn: () => taken(api.GET("/api/duty-templates")),
    staleTime: Infinity,
  });
  return (
    <>
      {templates.error && <Box role="alert">{templates.error.message}</Box>}
      {(templates.data ?? []).map((template) => (
        <Box
          key={template.building}
          display="grid"
          gridTemplateColumns={{ base: "1fr", md: "190px minmax(0, 1fr) 130px" }}
          gap="2px 14px"
          alignItems="center"
          py="4px"
          borderBottom="1px solid"
          borderColor="hair"
        >
          <Box fontWeight={600}>{template.building}</Box>
          <Small>
            {template.steps
              .map((step) =>
                say("templates-h", {
                  step: step.name,
                  hours: counted(step.hours),
                  round: Math.round(100 * step.share),
                }),
              )
              .join("; ")}
          </Small>
          <Press
            type="button"
            aria-label={say("templates-take-over-year", { building: template.building })}
            onClick={() => void desk.takeTemplate(template.building)}
          >
            {say("templates-take-over")}
          </Press>
        </Box>
      ))}
    </>
  );
}
