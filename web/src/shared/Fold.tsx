import { Box, chakra } from "@chakra-ui/react";
import { memo, type ReactNode, useEffect, useState } from "react";

import { Small } from "./parts";
import { onReveal } from "./reveal";

const Opener = chakra("button", {
  base: {
    display: "flex",
    width: "100%",
    minHeight: "44px",
    alignItems: "center",
    gap: "10px",
    flexWrap: "wrap",
    _hover: { background: "desk" },
    _focusVisible: { outlineOffset: "-3px" },
  },
});

interface FoldProps {
  title: string;
  /** In a few words what is in it, so that it need not be opened to know. */
  note?: ReactNode;
  /** Whether the field at a path stands in it. */
  holds?: (path: string) => boolean;
  startsOpen?: boolean;
  children: ReactNode;
}

/** A thought that is opened when it is wanted; one press, and by itself when a field in it is sought. */
export function Fold({ title, note, holds, startsOpen = false, children }: FoldProps) {
  const [open, setOpen] = useState(startsOpen);
  useEffect(() => {
    if (open || !holds) return undefined;
    return onReveal((path) => {
      const here = holds(path);
      if (here) setOpen(true);
      return here;
    });
  }, [open, holds]);
  return (
    <Box as="section" borderTop="1px solid" borderColor="rule" aria-label={title}>
      <Head title={title} note={note} open={open} setOpen={setOpen} />
      {open && <Box pb="14px">{children}</Box>}
    </Box>
  );
}

interface HeadProps {
  title: string;
  note: ReactNode;
  open: boolean;
  setOpen: (open: boolean) => void;
}

const Head = memo(function Head({ title, note, open, setOpen }: HeadProps) {
  return (
    <Opener type="button" aria-expanded={open} onClick={() => setOpen(!open)}>
      <Box as="span" width="12px" aria-hidden fontWeight={600}>
        {open ? "−" : "+"}
      </Box>
      <Box as="h2" fontWeight={600}>
        {title}
      </Box>
      {note && <Small>{note}</Small>}
    </Opener>
  );
});

/** Whether a path stands under one of some roots. */
export function under(...roots: string[]) {
  return (path: string) => roots.some((root) => path === root || path.startsWith(`${root}/`));
}
