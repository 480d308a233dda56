import { Box } from "@chakra-ui/react";
import { memo, useState } from "react";

import type { Schemas } from "../shared/api";
import { BalanceChart } from "../shared/BalanceChart";
import { figure } from "../shared/figures";
import { Cell, Small } from "../shared/parts";
import type { BenchDesk, BenchState } from "./desk";
import { TorquePicture } from "./TorquePicture";
import { useFrame } from "./useFrame";
import { WavesPicture } from "./WavesPicture";
import { say } from "../shared/say";

type Picture = Schemas["Experiment"]["picture"];

const WORDS: Record<Picture, string> = {
  balance: say("pictures-balance"),
  torque: say("pictures-torque-slip"),
  waves: say("pictures-waves"),
};
const TIMES_A_SECOND = 10;

interface PicturesProps extends Pick<BenchState, "standing" | "outlook" | "experiment"> {
  desk: BenchDesk;
}

/** The rig's physics as a picture: its balance, its torque against speed, or the waves of its drive. */
export const Pictures = memo(function Pictures({ desk, standing, outlook, experiment }: PicturesProps) {
  const [picked, setPicked] = useState<{ of: string; picture: Picture } | null>(null);
  const of = experiment?.code ?? "free";
  const wanted = picked?.of === of ? picked.picture : (experiment?.picture ?? picked?.picture ?? "balance");
  const offered = (["balance", "torque", "waves"] as const).filter((one) => one !== "waves" || standing?.drive);
  const picture = offered.includes(wanted) ? wanted : "balance";
  return (
    <Box maxWidth="420px">
      <Box role="group" aria-label={say("pictures-picture")} display="flex" py="8px">
        {offered.map((one) => (
          <Cell
            key={one}
            type="button"
            aria-pressed={one === picture}
            chosen={one === picture ? "yes" : undefined}
            onClick={() => setPicked({ of, picture: one })}
          >
            {WORDS[one]}
          </Cell>
        ))}
      </Box>
      {picture === "waves" ? (
        <WavesPicture desk={desk} />
      ) : (
        outlook && <Live desk={desk} pump={standing?.machine_type === "pump"} outlook={outlook} picture={picture} />
      )}
      <Small display="block" pt="6px">
        {say("pictures-simulated-rig")}
      </Small>
    </Box>
  );
});

interface LiveProps {
  desk: BenchDesk;
  pump: boolean;
  outlook: Schemas["Outlook"];
  picture: "balance" | "torque";
}

function Live({ desk, pump, outlook, picture }: LiveProps) {
  const frame = useFrame(desk, TIMES_A_SECOND);
  const { speed = 0, torque = 0, slip = 0, flow = 0, pressure = 0 } = frame?.values ?? {};
  if (picture === "torque") return <TorquePicture plane={outlook.torque} speed={speed} torque={torque} slip={slip} />;
  const [flowQuantity, pressureQuantity] = pump ? ["water_flow", "pump_differential"] : ["airflow", "pressure"];
  const bare = outlook.curves.length === 0;
  return (
    <BalanceChart
      flowQuantity={flowQuantity}
      pressureQuantity={pressureQuantity}
      curves={outlook.curves}
      points={
        bare
          ? []
          : [
              {
                id: "now",
                label: say("pictures-now"),
                series: "copper",
                group: "sets",
                flow: figure(flowQuantity, flow),
                pressure: figure(pressureQuantity, pressure),
              },
            ]
      }
      waits={bare ? [say("pictures-bare-shaft")] : []}
    />
  );
}
