import { Box, chakra } from "@chakra-ui/react";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";

import { wordsOf } from "../shared/fields";
import { fields, type FieldName } from "../generated/fields";
import { api, type Entry, type Refused, type Schemas, taken } from "../shared/api";
import { unitOf } from "../shared/figures";
import { Micro, Press, Small } from "../shared/parts";
import { useReader } from "../shared/reader";
import { Help } from "../shared/Help";
import { say } from "../shared/say";

type Product = Schemas["Product"];
type Texts = Record<string, string>;

const ROOT = "options/candidates/*/product/";
const FACTS = Object.keys(fields)
  .filter((name) => name.startsWith(ROOT) && !name.includes("/curve/"))
  .map((name) => ({ field: name.slice(ROOT.length), ...(fields[name as FieldName] as Facts) }));

interface Facts {
  label: string;
  help?: boolean;
  quantity?: string;
  choices?: readonly (string | number)[];
  labels?: readonly string[];
}

/** An entry as typed, changed or begun; what is wrong with it is said, and what was typed stays. */
export function EntryForm({ product, isNew, close }: { product: Partial<Product>; isNew: boolean; close: () => void }) {
  const { units } = useReader();
  const queries = useQueryClient();
  const [texts, setTexts] = useState<Texts>(() => textsOf(product));
  const keep = useMutation<unknown, Refused>({
    mutationFn: () =>
      taken(
        api.PUT("/api/catalogue/{code}", {
          params: { path: { code: texts.code?.trim() || "-" } },
          body: { product: bodyOf(texts, product) },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ["catalogue"] });
      close();
    },
  });
  return (
    <Box
      as="form"
      role="form"
      aria-label={isNew ? say("entry-form-new-entry") : say("entry-form-change", { product: product.name ?? "" })}
      borderBottom="2px solid"
      borderColor="ink"
      py="8px"
    >
      <Box
        display="grid"
        gridTemplateColumns={{ base: "1fr", md: "repeat(auto-fill, minmax(210px, 1fr))" }}
        gap="4px 20px"
      >
        {FACTS.map((facts) => (
          <Field
            key={facts.field}
            facts={facts}
            unit={facts.quantity ? unitOf(facts.quantity, units ?? "si") : ""}
            value={texts[facts.field] ?? ""}
            locked={facts.field === "code" && !isNew}
            set={(value) => setTexts((now) => ({ ...now, [facts.field]: value }))}
          />
        ))}
      </Box>
      <CurveField
        value={texts.curve ?? ""}
        set={(value) => setTexts((now) => ({ ...now, curve: value }))}
        pump={texts.type === "pump"}
      />
      {keep.error && (
        <Box role="alert" color="brick" fontWeight={600}>
          {say("entry-form-what-you", { message: keep.error.message })}
        </Box>
      )}
      <Box display="flex" gap="8px" pt="8px">
        <Press type="button" onClick={() => keep.mutate()}>
          {say("entry-form-keep")}
        </Press>
        <Press type="button" fontWeight={400} onClick={close}>
          {say("entry-form-cancel")}
        </Press>
      </Box>
    </Box>
  );
}

interface FieldProps {
  facts: Facts & { field: string };
  unit: string;
  value: string;
  locked: boolean;
  set: (value: string) => void;
}

function Field({ facts, unit, value, locked, set }: FieldProps) {
  return (
    <Box as="label" display="block" minWidth={0}>
      <Box fontSize="small" fontWeight={600}>
        {facts.label} {unit && <Micro>{unit === "money" ? "" : unit}</Micro>}
      </Box>
      {facts.choices ? (
        <Pick aria-label={facts.label} value={value} onChange={(event) => set(event.target.value)}>
          <option value="">{say("entry-form-said")}</option>
          {facts.choices.map((choice) => (
            <option key={choice} value={choice}>
              {wordsOf(facts, choice)}
            </option>
          ))}
        </Pick>
      ) : (
        <Typed aria-label={facts.label} value={value} readOnly={locked} onChange={(event) => set(event.target.value)} />
      )}
      {facts.help && (
        <Micro display="block">
          <Help path={`${ROOT}${facts.field}`} />
        </Micro>
      )}
    </Box>
  );
}

function CurveField({ value, set, pump }: { value: string; set: (value: string) => void; pump: boolean }) {
  return (
    <Box as="label" display="block" pt="6px">
      <Box fontSize="small" fontWeight={600}>
        {say("entry-form-curve-shaft", {
          pump: pump ? say("entry-form-water-flow") : say("entry-form-airflow-static"),
        })}
      </Box>
      <Lines
        aria-label={say("entry-form-curve")}
        rows={value ? 6 : 2}
        value={value}
        placeholder={pump ? "1.6 m³/h | 7.4 m w. | 47 W" : say("entry-form-m-h")}
        onChange={(event) => set(event.target.value)}
      />
      <Small>{say("entry-form-each-unit")}</Small>
    </Box>
  );
}

/** What an entry holds, as it was typed. */
function textsOf(product: Partial<Product>): Texts {
  const texts: Texts = {};
  for (const [name, value] of Object.entries(product)) {
    if (name === "curve") texts.curve = (value as Product["curve"] & object[]).map(rowOf).join("\n");
    else if (value != null) texts[name] = typeof value === "object" ? typedOf(value as Entry) : String(value);
  }
  return texts;
}

function typedOf(entry: Entry) {
  const bare = /^[\d.,/ -]+$/.test(entry.typed);
  return bare && entry.unit !== "money" ? `${entry.typed} ${entry.unit}` : entry.typed;
}

function rowOf(point: Schemas["CurvePoint"]) {
  const cells = [point.airflow ?? point.water_flow, point.pressure ?? point.head, point.shaft_power];
  return cells.map((entry) => (entry ? typedOf(entry) : "")).join(" | ");
}

function bodyOf(texts: Texts, before: Partial<Product>): Record<string, unknown> {
  const body: Record<string, unknown> = {};
  const pump = texts.type === "pump";
  const names = pump ? ["water_flow", "head", "shaft_power"] : ["airflow", "pressure", "shaft_power"];
  for (const [name, text] of Object.entries(texts)) {
    if (!text.trim()) continue;
    if (name === "curve")
      body.curve = text
        .split("\n")
        .filter((line) => line.trim())
        .map((line) => Object.fromEntries(line.split("|").map((cell, index) => [names[index] ?? "more", cell.trim()])));
    else if (name === "phases" || name === "torque_taps") body[name] = Number(text);
    else body[name] = text.trim();
  }
  return { ...(before.type ? { type: before.type } : {}), ...body };
}

const LOOK = {
  width: "100%",
  minHeight: "44px",
  border: "1px solid",
  borderColor: "rule",
  background: "paper",
  px: "6px",
} as const;
const Typed = chakra("input", { base: { ...LOOK, "&[readonly]": { color: "ink2", borderStyle: "dashed" } } });
const Pick = chakra("select", { base: LOOK });
const Lines = chakra("textarea", { base: { ...LOOK, py: "6px" } });
