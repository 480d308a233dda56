import { Box } from "@chakra-ui/react";
import { type ReactNode, useEffect } from "react";

import { TopLine } from "../app/TopLine";
import type { Refused, Station } from "../shared/api";
import { STATIONS } from "../shared/stations";
import { say } from "../shared/say";

interface ByStationProps<Item extends { station: Station }> {
  title: string;
  items: readonly Item[] | undefined;
  error: Refused | null;
  /** One item as a row, with a key of its own. */
  row: (item: Item) => ReactNode;
}

/** A page of what there is for each station, in the order of the route. */
export function ByStation<Item extends { station: Station }>({ title, items, error, row }: ByStationProps<Item>) {
  useEffect(() => {
    document.title = say("by-station-modest-rotor", { title });
  }, [title]);
  return (
    <>
      <TopLine trail={[{ label: say("by-station-board"), to: "/" }, { label: title }]} />
      <Box as="main" id="main" px={{ base: "14px", lg: "20px" }} pb="30px" maxWidth="1500px">
        <Box as="h1" fontSize="title" fontWeight={600} py="8px" borderBottom="2px solid" borderColor="ink">
          {title}
        </Box>
        {error && <Box role="alert">{error.message}</Box>}
        {STATIONS.map((station) => {
          const own = (items ?? []).filter((item) => item.station === station.id);
          if (own.length === 0) return null;
          return (
            <Box as="section" key={station.id} pt="12px" aria-label={station.title}>
              <Box as="h2" fontWeight={600}>
                {station.title}
              </Box>
              {own.map(row)}
            </Box>
          );
        })}
      </Box>
    </>
  );
}
