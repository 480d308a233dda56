import { Box } from "@chakra-ui/react";

import { Fold, under } from "../../shared/Fold";
import { useJob } from "../../shared/job";
import { Micro } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import { Slider } from "./Slider";
import { say } from "../../shared/say";
import { counted } from "../../shared/language";

const holds = under("duty/energy_price");

/** What is dragged most: the price, the hours of the longest step, the filter's state. */
export function WhatIf() {
  const { view } = useJob();
  const { currency } = useUnits();
  const price = view.document.duty?.energy_price?.si;
  const steps = view.document.duty?.steps ?? [];
  const longest = [...steps].filter((step) => step.hours).sort((a, b) => (b.hours?.si ?? 0) - (a.hours?.si ?? 0))[0];
  const hours = (value: number) => counted(Math.round(value));
  return (
    <Fold
      title={say("what-if-what-if")}
      note={price ? say("what-if-price-now", { price, currency: currency ?? "" }) : say("what-if-price-hours")}
      holds={holds}
    >
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} gap="0 20px">
        <Slider
          path="duty/energy_price"
          label={say("what-if-energy-price")}
          low={0.05}
          high={0.8}
          step={0.01}
          usual={0.2}
          said={(value) => say("what-if-per-kwh", { value: counted(value, 2), currency: currency ?? "" })}
          text={(value) => `${value.toFixed(2)} per kWh`}
          read={(entry) => entry.si}
        />
        {longest && (
          <Slider
            path={`duty/steps/${longest.id}/hours`}
            label={say("what-if-hours", { longest: longest.name || say("what-if-longest-step") })}
            low={100}
            high={8700}
            step={50}
            usual={2000}
            said={(value) => `${hours(value)} h`}
            text={(value) => `${Math.round(value)} h`}
            read={(entry) => entry.si}
          />
        )}
        <Micro gridColumn="1 / -1">{say("what-if-drag-every")}</Micro>
      </Box>
    </Fold>
  );
}
