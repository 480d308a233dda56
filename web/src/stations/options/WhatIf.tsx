import { Box } from "@chakra-ui/react";

import { Fold, under } from "../../shared/Fold";
import { useJob } from "../../shared/job";
import { Micro } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import { Slider } from "./Slider";

const holds = under("duty/energy_price");

/** What is dragged most: the price, the hours of the longest step, the filter's state. */
export function WhatIf() {
  const { view } = useJob();
  const { currency } = useUnits();
  const price = view.document.duty?.energy_price?.si;
  const steps = view.document.duty?.steps ?? [];
  const longest = [...steps].filter((step) => step.hours).sort((a, b) => (b.hours?.si ?? 0) - (a.hours?.si ?? 0))[0];
  const hours = (value: number) => Math.round(value).toLocaleString("en");
  return (
    <Fold
      title="What if?"
      note={
        price
          ? `the price, now ${price} ${currency ?? ""} per kWh, or the hours were others`
          : "the price or the hours were others"
      }
      holds={holds}
    >
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} gap="0 20px">
        <Slider
          path="duty/energy_price"
          label="Energy price"
          low={0.05}
          high={0.8}
          step={0.01}
          usual={0.2}
          said={(value) => `${value.toFixed(2)} ${currency ?? ""} per kWh`}
          text={(value) => `${value.toFixed(2)} per kWh`}
          read={(entry) => entry.si}
        />
        {longest && (
          <Slider
            path={`duty/steps/${longest.id}/hours`}
            label={`Hours, ${longest.name || "longest step"}`}
            low={100}
            high={8700}
            step={50}
            usual={2000}
            said={(value) => `${hours(value)} h`}
            text={(value) => `${Math.round(value)} h`}
            read={(entry) => entry.si}
          />
        )}
        <Micro gridColumn="1 / -1">Drag, and every row follows; what you let go of is kept, and can be undone.</Micro>
      </Box>
    </Fold>
  );
}
