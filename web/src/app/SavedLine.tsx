import { Box } from "@chakra-ui/react";

import type { DeskState } from "../shared/desk";
import { useDeskState, useJob } from "../shared/job";
import { Cap } from "../shared/parts";
import { TopButton } from "./TopLine";
import { say } from "../shared/say";

/** Whether everything is saved, and what Undo would take back. */
export function SavedLine() {
  const { desk, view } = useJob();
  const state = useDeskState(desk, (now) => now);
  return (
    <>
      <Box
        role="status"
        data-saved={state.begun && state.pending === 0 && unsaved(state) === 0 && state.acts.length === 0}
        display="flex"
        alignItems="center"
        px={{ base: "8px", md: "14px" }}
        color="ink2"
        whiteSpace="nowrap"
      >
        <Box as="span" display={{ base: "none", md: "inline" }}>
          {toldOf(state)}
        </Box>
        <Box as="span" display={{ base: "inline", md: "none" }}>
          {toldShort(state)}
        </Box>
      </Box>
      <TopButton
        type="button"
        disabled={!view.undo_label}
        onClick={() => void desk.undo()}
        maxWidth="230px"
        whiteSpace="normal"
        lineHeight={1.15}
        title={view.undo_label ?? undefined}
      >
        {say("saved-line-undo")}
        {view.undo_label && (
          <Box as="span" display={{ base: "none", lg: "inline" }}>
            {" "}
            “{view.undo_label}”
          </Box>
        )}{" "}
        <Cap ml="4px">{say("saved-line-ctrl-z")}</Cap>
      </TopButton>
      {view.redo_label && (
        <TopButton
          type="button"
          onClick={() => void desk.redo()}
          aria-label={say("saved-line-redo-2", { redo_label: view.redo_label })}
        >
          {say("saved-line-redo")}
        </TopButton>
      )}
    </>
  );
}

function unsaved(state: DeskState): number {
  return Object.values(state.drafts).filter((draft) => draft.state !== "kept").length;
}

/** The same in a word or two, for a phone. */
function toldShort(state: DeskState): string {
  if (asking(state) > 0) return say("saved-line-decide");
  if (state.trouble?.isAway) return say("saved-line-kept-here");
  if (state.pending > 0) return say("saved-line-saving");
  return unsaved(state) > 0 ? say("saved-line-saved") : say("saved-line-all-saved");
}

/** Whether all is saved, in a few words: what every page says of it. */
export function toldOf(state: DeskState): string {
  const asks = asking(state);
  if (asks > 0) return asks === 1 ? say("saved-line-one-act") : say("saved-line-acts-wait", { asks });
  if (state.trouble?.isAway) return say("saved-line-kept-browser");
  if (state.pending > 0) return say("saved-line-saving");
  const open = unsaved(state);
  if (open > 0) return open === 1 ? say("saved-line-one-value") : say("saved-line-values-saved", { open });
  return state.view
    ? say("saved-line-saved-2", { toLocaleTimeString: new Date(state.view.saved).toLocaleTimeString("en-GB") })
    : "";
}

function asking(state: DeskState): number {
  return state.acts.filter((act) => act.state !== "waiting" && act.target?.text === undefined).length;
}
