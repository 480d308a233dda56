import { quantities, type QuantityName } from "../generated/quantities";
import type { Entry, Figure } from "./api";
import type { UnitSystem } from "./reader";
import { say } from "./say";
import { inMySigns, numbersTag } from "./language";

export interface Written {
  value: string;
  uncertainty: string | null;
  range: string | null;
  unit: string;
}

/** Steps below which a value is lost in its decimals, and how much finer it is written then at the most. */
const LOST_BELOW = 5;
const FINER = 1e-3;
/** Quantities of which a little is not nothing: one cubic foot a minute is no 0 L/s. */
const SMALL_COUNT = new Set(["airflow", "water_flow"]);

const facts = (quantity: string, units: UnitSystem) => quantities[quantity as QuantityName][units];

/** The unit in which this reader sees a quantity; money shows its currency. */
export function unitOf(quantity: string, units: UnitSystem, currency?: string | null): string {
  const { unit } = facts(quantity, units);
  if (unit === "money") return currency ?? "";
  return unit === "per kWh" ? `${currency ?? ""} ${inWords(unit)}`.trim() : inWords(unit);
}

/** A unit as a person reads it, where its symbol is made of words. */
function inWords(unit: string): string {
  if (unit === "days") return say("unit-days");
  if (unit === "years") return say("unit-years");
  if (unit === "per kWh") return say("unit-per-kwh");
  if (unit === "L/s per kW") return say("unit-litres-a-second-per-kilowatt");
  return unit;
}

/** A figure that was worked out, without an uncertainty. */
export function figure(quantity: string, value: number): Figure {
  return { quantity, value, basis: "worked-out" };
}

/** A value in the reader's unit. */
export function inUnits(quantity: string, value: number, units: UnitSystem): number {
  const { factor, offset } = facts(quantity, units);
  return value * factor + offset;
}

/** How many decimals of a quantity this reader sees at the most. */
export function decimalsOf(quantity: string, units: UnitSystem): number {
  return facts(quantity, units).decimals;
}

/** A figure in the reader's units, no finer than its uncertainty allows. */
export function write(figure: Figure, units: UnitSystem, currency?: string | null): Written {
  if (figure.entry) {
    const { text } = writeEntry(figure.quantity, figure.entry, units);
    return { value: inMySigns(text), uncertainty: null, range: null, unit: unitOf(figure.quantity, units, currency) };
  }
  const { factor, decimals } = facts(figure.quantity, units);
  const shown = (value: number) => inUnits(figure.quantity, value, units);
  const uncertainty = figure.uncertainty == null ? null : Math.abs(figure.uncertainty * factor);
  const low = figure.low == null ? null : shown(figure.low);
  const high = figure.high == null ? null : shown(figure.high);
  const width = low != null && high != null ? (high - low) / 2 : uncertainty;
  const finest = SMALL_COUNT.has(figure.quantity) ? finestFor(shown(figure.value), decimals) : 10 ** -decimals;
  const step = stepFor(width, finest);
  const text = (value: number) => grouped(value, step);
  const hasRange = low != null || high != null;
  return {
    value: text(shown(figure.value)),
    uncertainty: uncertainty == null || hasRange ? null : text(Math.max(uncertainty, step)),
    range: hasRange ? rangeWords(low, high, text) : null,
    unit: unitOf(figure.quantity, units, currency),
  };
}

/** Half a 95 % interval in the reader's units, as it stands beside a reading. */
export function writeUncertainty(quantity: string, half: number, units: UnitSystem): string {
  const { uncertainty } = write({ quantity, value: 0, uncertainty: half, basis: "measured" }, units);
  return `± ${uncertainty ?? ""}`;
}

/** A typed entry as this reader sees it, and the words that tell what was typed when that was in another unit. */
export function writeEntry(quantity: string, entry: Entry, units: UnitSystem): { text: string; typed: string | null } {
  const { unit, decimals } = facts(quantity, units);
  const shown = (value: number) => grouped(inUnits(quantity, value, units), 10 ** -decimals);
  if (entry.unit === unit) return { text: withoutUnit(entry.typed, unit), typed: null };
  const low = entry.low == null ? "" : say("figures-to", { shown: shown(entry.low) });
  const text = low + shown(entry.si);
  return { text, typed: /[a-z%"]/i.test(entry.typed) ? entry.typed : `${entry.typed} ${entry.unit}` };
}

/** The step of a quantity's own decimals; finer for a value that would be lost in it, which keeps two figures. */
function finestFor(value: number, decimals: number): number {
  const finest = 10 ** -decimals;
  const size = Math.abs(value);
  if (size >= LOST_BELOW * finest || size < finest * FINER) return finest;
  return Math.max(finest * FINER, 10 ** (Math.floor(Math.log10(size) + 1e-6) - 1));
}

/** Two significant figures of the uncertainty, but never finer than the finest step. */
function stepFor(width: number | null, finest: number): number {
  if (width == null || width === 0) return finest;
  return Math.max(finest, 10 ** (Math.floor(Math.log10(width)) - 1));
}

const formats = new Map<string, Intl.NumberFormat>();

/** A format with so many decimals; making one takes far longer than using it. */
function formatOf(places: number): Intl.NumberFormat {
  const key = `${numbersTag()} ${places}`;
  const found =
    formats.get(key) ??
    new Intl.NumberFormat(numbersTag(), { minimumFractionDigits: places, maximumFractionDigits: places });
  formats.set(key, found);
  return found;
}

/** A number with grouped thousands, in steps of a size. */
export function grouped(value: number, step: number): string {
  const places = Math.max(0, -Math.floor(Math.log10(step) + 1e-9));
  const rounded = Math.round(value / step) * step;
  const text = formatOf(places).format(Math.abs(rounded));
  return Number(text.replaceAll(",", "")) !== 0 && rounded < 0 ? `−${text}` : text;
}

function rangeWords(low: number | null, high: number | null, text: (value: number) => string): string {
  if (low != null && high != null) return say("figures-to-2", { low: text(low), high: text(high) });
  return low != null
    ? say("figures-over-perhaps", { low: text(low) })
    : say("figures-up", { high: text(high as number) });
}

/** How long ago, no finer than it matters. */
export function span(seconds: number): string {
  if (seconds < 90) return `${Math.round(seconds)} s`;
  if (seconds < 90 * 60) return say("figures-min", { round: Math.round(seconds / 60) });
  if (seconds < 36 * 3600) return `${Math.round(seconds / 3600)} h`;
  const days = Math.round(seconds / 86400);
  return say("figures-days", { days });
}

function withoutUnit(typed: string, unit: string): string {
  // The "to" of a range is none, where a number follows it.
  const bare = typed.replace(/^([^a-zµΩ°%"]*(?:\b(?:to|a)\s+[\d.,/]+)?)\s*(?:[a-zµΩ°%"].*)?$/i, "$1").trim();
  return bare && unit !== "money" ? bare : typed;
}
