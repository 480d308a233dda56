import { Box } from "@chakra-ui/react";
import { type ReactNode, useState } from "react";

import type { Schemas, Station } from "../shared/api";
import { Cell, Press } from "../shared/parts";
import { Picker } from "../shared/Picker";
import { STATIONS } from "../shared/stations";
import { useIsWide } from "../shared/width";
import { type Ask, isPlain } from "./ask";
import { say } from "../shared/say";

const ONLY: readonly { value: Ask["only"]; label: string }[] = [
  { value: "", label: say("filters-all") },
  { value: "stopped", label: say("filters-stopped") },
  { value: "drifting", label: say("filters-drifting") },
  { value: "due", label: say("filters-visit-due") },
];
const SHELVES: readonly { value: Ask["shelf"]; label: string }[] = [
  { value: "open", label: say("filters-open") },
  { value: "archived", label: say("filters-archived") },
  { value: "bin", label: say("filters-thrown-away") },
];
const ORDERS: readonly { value: Ask["order"]; label: string }[] = [
  { value: "site", label: say("filters-site") },
  { value: "newest", label: say("filters-newest-change") },
  { value: "name", label: say("filters-machine") },
];

interface FiltersProps {
  ask: Ask;
  setAsk: (part: Partial<Ask>) => void;
  counts: Schemas["ShelfCounts"] | undefined;
  /** The field to find by, before them all. */
  children: ReactNode;
}

/** Which jobs are shown, and in which order. */
export function Filters({ ask, setAsk, counts, children }: FiltersProps) {
  const wide = useIsWide(561);
  const [opened, setOpened] = useState(false);
  const open = wide || opened || !isPlain({ ...ask, find: "" });
  return (
    <Box
      display="flex"
      flexWrap="wrap"
      gap="8px 14px"
      alignItems="center"
      pb="10px"
      role="group"
      aria-label={say("filters-jobs")}
    >
      {children}
      {!wide && !open && (
        <Press type="button" aria-expanded={false} onClick={() => setOpened(true)}>
          {say("filters-filter")}
        </Press>
      )}
      {open && <Choices ask={ask} setAsk={setAsk} counts={counts} />}
    </Box>
  );
}

function Choices({ ask, setAsk, counts }: Omit<FiltersProps, "children">) {
  return (
    <>
      <Box role="group" aria-label={say("filters-shelf")} display="flex" flexWrap="wrap">
        {SHELVES.map(({ value, label }) => (
          <Cell
            key={value}
            type="button"
            aria-pressed={ask.shelf === value}
            chosen={ask.shelf === value ? "yes" : undefined}
            onClick={() => setAsk({ shelf: value })}
          >
            {label}
            {counts && value !== "open" ? ` ${counts[value]}` : ""}
          </Cell>
        ))}
      </Box>
      <Box role="group" aria-label={say("filters-only")} display="flex" flexWrap="wrap">
        {ONLY.map(({ value, label }) => (
          <Cell
            key={value}
            type="button"
            aria-pressed={ask.only === value}
            chosen={ask.only === value ? "yes" : undefined}
            onClick={() => setAsk({ only: value })}
          >
            {label}
          </Cell>
        ))}
      </Box>
      <Box flex="1 1 130px" maxWidth="170px">
        <Picker
          aria-label={say("filters-stands")}
          value={ask.stands_at}
          onChange={(event) => setAsk({ stands_at: event.target.value as Station | "" })}
        >
          <option value="">{say("filters-any-station")}</option>
          {STATIONS.map((station) => (
            <option key={station.id} value={station.id}>
              {say("filters-at", { station: station.title })}
            </option>
          ))}
        </Picker>
      </Box>
      <Box flex="1 1 130px" maxWidth="220px">
        <Picker
          aria-label={say("filters-site-2")}
          value={ask.site}
          onChange={(event) => setAsk({ site: event.target.value })}
        >
          <option value="">{say("filters-every-site")}</option>
          {(counts?.sites ?? []).map((site) => (
            <option key={site.id} value={site.id}>
              {site.name}
            </option>
          ))}
        </Picker>
      </Box>
      <Box flex="1 1 130px" maxWidth="190px">
        <Picker
          aria-label={say("filters-order")}
          value={ask.order}
          onChange={(event) => setAsk({ order: event.target.value as Ask["order"] })}
        >
          {ORDERS.map(({ value, label }) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </Picker>
      </Box>
    </>
  );
}
