import { useQuery } from "@tanstack/react-query";

import { api, type Figure, type Refused, type Schemas, taken } from "../../shared/api";
import { useJob } from "../../shared/job";
import { useIsOpen, WorkingPanel } from "../../shared/Working";

interface StepPanelProps {
  name: string;
  label: string;
  figure: Figure | null;
  option: string;
  step: string;
  part: keyof Schemas["StepWorkings"];
}

/** The working of a step, fetched when it is opened: all of them together would be most of every answer. */
export function StepPanel(props: StepPanelProps) {
  return useIsOpen(props.name) ? <Fetched {...props} /> : null;
}

function Fetched({ name, label, figure, option, step, part }: StepPanelProps) {
  const { view } = useJob();
  const path = { job_id: view.id, option_id: option, step_id: step };
  const workings = useQuery<Schemas["StepWorkings"], Refused>({
    queryKey: ["step workings", view.id, view.revision, option, step],
    queryFn: () =>
      taken(api.GET("/api/jobs/{job_id}/options/{option_id}/steps/{step_id}/workings", { params: { path } })),
  });
  if (!workings.data) return workings.error ? <div role="alert">{workings.error.message}</div> : null;
  return <WorkingPanel name={name} result={{ label, figure, working: workings.data[part] }} />;
}
