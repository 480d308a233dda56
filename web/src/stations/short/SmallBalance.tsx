import { Box } from "@chakra-ui/react";

import { BalanceChart } from "../../shared/BalanceChart";
import { useFound } from "../../shared/job";

const SETS = "sets";

/** The balance, small: the point of the set that the figures beside it stand on. */
export function SmallBalance() {
  const { balance, as_found: asFound } = useFound("balance", "as_found");
  const curves = balance.curves.filter((curve) => ["found", "system"].includes(curve.id));
  const points = balance.points.filter((point) => point.group === SETS && point.id === asFound);
  if (curves.length === 0) return null;
  return (
    <Box maxWidth="300px" ml="auto" pt="6px">
      <BalanceChart
        flowQuantity={balance.flow_quantity}
        pressureQuantity={balance.pressure_quantity}
        curves={curves}
        points={points}
        waits={[]}
        height={118}
      />
    </Box>
  );
}
