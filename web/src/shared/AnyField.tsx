import { Box } from "@chakra-ui/react";
import { memo } from "react";

import { ExplainedLabel } from "./Explained";
import { ChoiceField, factsOf, QuantityField, SelectField, WordsField, wordsOf } from "./fields";
import { unitOf } from "./figures";
import { Micro } from "./parts";
import { useUnits } from "./units";

const MOST_LETTERS = 24;

interface AnyFieldProps {
  path: string;
  label?: string;
  /** What a choice is called. */
  said?: (choice: string | number) => string;
}

/** The field at a path, whatever it takes: a quantity with its unit, one of a few answers, one of many, or words. */
export function AnyField({ path, label, said }: AnyFieldProps) {
  const { units, currency } = useUnits();
  const facts = factsOf(path);
  const shared = label ? { label } : {};
  if (facts.quantity)
    return (
      <Box
        display="grid"
        gridTemplateColumns="minmax(0, 150px) auto"
        gap="8px"
        alignItems="center"
        justifyContent="start"
      >
        <QuantityField path={path} {...shared} />
        <Micro>{unitOf(facts.quantity, units, currency)}</Micro>
      </Box>
    );
  if (!facts.choices) return <WordsField path={path} {...shared} />;
  // Answers that would not stand in one line of a column are picked from a list.
  if (facts.choices.map((choice) => wordsOf(facts, choice)).join("").length > MOST_LETTERS)
    return <SelectField path={path} {...shared} />;
  return <ChoiceField path={path} {...shared} {...(said ? { said } : {})} />;
}

/** A field with its label above, which is pressed for what is meant, for sheets of many fields in columns. */
export function LabelledField({ path, said, help = true }: AnyFieldProps & { help?: boolean }) {
  const facts = factsOf(path);
  return (
    <Box minWidth={0} py="4px">
      <Box
        fontSize="small"
        fontWeight={600}
        display="flex"
        flexWrap="wrap"
        alignItems="center"
        minHeight={help ? "44px" : undefined}
        mb={help ? "-2px" : undefined}
      >
        {help ? <ExplainedLabel path={path} /> : facts.label}
      </Box>
      <AnyField path={path} {...(said ? { said } : {})} />
    </Box>
  );
}

/** Fields in columns, as many as fit. */
export const FieldGrid = memo(function FieldGrid({ paths, help = true }: { paths: readonly string[]; help?: boolean }) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "1fr", md: "repeat(auto-fill, minmax(210px, 1fr))" }}
      gap="4px 20px"
    >
      {paths.map((path) => (
        <LabelledField key={path} path={path} help={help} />
      ))}
    </Box>
  );
});
