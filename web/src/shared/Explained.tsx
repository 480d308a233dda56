import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { memo, type ReactNode, useId, useState } from "react";
import { Link } from "react-router";

import { headings } from "../generated/fields";
import { api, type Refused, type Schemas, taken } from "./api";
import { factsOf } from "./fields";
import { fieldName } from "./paths";
import { Help } from "./Help";
import { Small } from "./parts";
import { say } from "./say";

type Term = Schemas["Term"];

/** The trade's terms; asked for when the first one is pressed. */
export function useGlossary(wanted = true) {
  return useQuery<Term[], Refused>({
    queryKey: ["glossary"],
    queryFn: () => taken(api.GET("/api/glossary")),
    staleTime: Infinity,
    enabled: wanted,
  });
}

const Opener = chakra("button", {
  base: {
    minHeight: "44px",
    maxWidth: "100%",
    textAlign: "left",
    fontWeight: "inherit",
    textDecoration: "underline dotted",
    textDecorationColor: "rule",
    textUnderlineOffset: "4px",
    _hover: { textDecorationColor: "ink" },
    _expanded: { textDecoration: "underline" },
  },
});

interface ExplainedProps {
  children: ReactNode;
  /** What is said of it; empty where the glossary's own sentence is all. */
  sentence?: ReactNode;
  /** The glossary's code of it, where it is a term of the trade. */
  term?: string | undefined;
  /** The field that it is the label of: Tab goes from field to field, and F1 in one presses its label. */
  field?: string;
}

/** A label that is pressed for one sentence about it; a term of the trade leads on to the glossary. */
export const Explained = memo(function Explained({ children, sentence, term, field }: ExplainedProps) {
  const [open, setOpen] = useState(false);
  const id = useId();
  const glossary = useGlossary(open && !sentence);
  if (!sentence && !term) return <span>{children}</span>;
  const own = glossary.data?.find((one) => one.code === term);
  return (
    <>
      <Opener
        type="button"
        aria-expanded={open}
        aria-controls={open ? id : undefined}
        data-explained={field ?? ""}
        tabIndex={field ? -1 : undefined}
        onClick={() => setOpen(!open)}
      >
        {children}
      </Opener>
      {open && (
        <Box id={id} role="note" fontWeight={400} flexBasis="100%" gridColumn="1 / -1" order={1} pb="6px">
          <Small>{sentence ?? own?.sentence ?? glossary.error?.message ?? "…"}</Small>{" "}
          {term && (
            <Small>
              <Link to={`/glossary#${term}`}>{say("explained-glossary")}</Link>
            </Small>
          )}
        </Box>
      )}
    </>
  );
});

/** What a result is headed, pressed for what it means where that is a term of the trade. */
export function ExplainedHeading({ label, children }: { label: string; children?: ReactNode }) {
  return (
    <Explained term={label in headings ? headings[label as keyof typeof headings] : undefined}>
      {label}
      {children}
    </Explained>
  );
}

/** The label of the field at a path, pressed for what is meant. */
export function ExplainedLabel({ path, children }: { path: string; children?: ReactNode }) {
  const { label, help, term } = factsOf(path);
  return (
    <Explained sentence={help && <Help path={path} />} term={term} field={fieldName(path)}>
      {label}
      {children}
    </Explained>
  );
}

/** Press the label of the field that has the focus: the keyboard's way to what it means. */
export function explainFocused(): boolean {
  const field = document.activeElement?.closest<HTMLElement>("[data-field]");
  const wanted = `[data-explained="${fieldName(field?.dataset.field ?? "")}"]`;
  // Several items of a list have the same labels: the nearest is its own.
  for (let round = field?.parentElement; round; round = round.parentElement) {
    const label = round.querySelector<HTMLElement>(wanted);
    if (label) {
      label.click();
      return true;
    }
  }
  return false;
}
