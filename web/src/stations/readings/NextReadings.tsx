import { Box } from "@chakra-ui/react";
import { memo } from "react";

import type { Schemas } from "../../shared/api";
import { Press, Small } from "../../shared/parts";
import { focusField } from "../../shared/focus";
import { FigureText } from "../../shared/Words";
import { say } from "../../shared/say";

/** The two or three readings that would narrow most: the uncertainty now and then, how to take each, its caution first. */
export const NextReadings = memo(function NextReadings({ readings }: { readings: Schemas["NextReading"][] }) {
  return readings.map((reading) => (
    <Box
      key={`${reading.what} ${reading.narrows}`}
      display="grid"
      gridTemplateColumns={{ base: "1fr", md: "minmax(0, 1fr) auto" }}
      gap="2px 14px"
      alignItems="center"
      borderBottom="1px solid"
      borderColor="hair"
      py="6px"
    >
      <Box>
        <Box>
          <b>{reading.what}</b>
          {say("next-readings-narrows", { narrows: reading.narrows })}
          <FigureText figure={reading.now} line={false} />
          {say("next-readings-now-then")}
          <Box as="span" whiteSpace="nowrap">
            ±{" "}
            <FigureText
              figure={{ ...reading.then, value: reading.then.uncertainty ?? 0, uncertainty: null }}
              line={false}
            />
          </Box>
          .
        </Box>
        <Box color="ochre" fontSize="small">
          {reading.caution}
        </Box>
        <Small>{reading.how}</Small>
      </Box>
      {reading.path && (
        <Press type="button" onClick={() => focusField(reading.path ?? "")} justifySelf="start">
          {say("next-readings-go-there")}
        </Press>
      )}
    </Box>
  ));
});
