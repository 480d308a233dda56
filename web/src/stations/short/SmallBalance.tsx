import { Box } from "@chakra-ui/react";

import { BalanceChart } from "../../shared/BalanceChart";
import { useJob } from "../../shared/job";

const SETS = "sets";

/** The balance, small: today's point where the machine's curve meets the system's. */
export function SmallBalance() {
  const { balance } = useJob().assessment;
  const curves = balance.curves.filter((curve) => ["found", "system"].includes(curve.id));
  const points = balance.points.filter((point) => point.group === SETS).slice(-1);
  if (curves.length === 0) return null;
  return (
    <Box maxWidth="300px" ml="auto" pt="6px">
      <BalanceChart
        flowQuantity={balance.flow_quantity}
        pressureQuantity={balance.pressure_quantity}
        curves={curves}
        points={points}
        waits={[]}
        height={150}
      />
    </Box>
  );
}
