import { createContext, type ReactNode, useContext, useEffect, useMemo, useState } from "react";

export type UnitSystem = "ip" | "si";
export type Scheme = "light" | "dark" | "sunlight";

const SINGLE_KEYS = "modest-rotor keys";

/** Whether a single key outside a field does something; whoever speaks to the machine or has a shaking hand switches it off. */
export function singleKeysOn(): boolean {
  return localStorage.getItem(SINGLE_KEYS) !== "false";
}

interface Reader {
  /** The reader's own choice of units; null follows the site. */
  units: UnitSystem | null;
  setUnits: (units: UnitSystem | null) => void;
  scheme: Scheme;
  setScheme: (scheme: Scheme) => void;
  singleKeys: boolean;
  setSingleKeys: (on: boolean) => void;
  /** The name typed by whoever works here; it goes with every change. */
  who: string;
  setWho: (who: string) => void;
}

const Context = createContext<Reader | null>(null);

/** What this reader prefers, kept on this machine. */
export function ReaderProvider({ children }: { children: ReactNode }) {
  const [units, setUnits] = useKept<UnitSystem | null>("modest-rotor units", null);
  const [chosen, setScheme] = useKept<Scheme | null>("modest-rotor scheme", null);
  const [singleKeys, setSingleKeys] = useKept<boolean>(SINGLE_KEYS, true);
  const [who, setWho] = useKept<string>("modest-rotor who", "");
  const scheme = chosen ?? (window.matchMedia("(prefers-color-scheme: dark)").matches ? "dark" : "light");

  useEffect(() => {
    document.documentElement.classList.toggle("dark", scheme === "dark");
    document.documentElement.classList.toggle("sunlight", scheme === "sunlight");
    document.documentElement.style.colorScheme = scheme === "dark" ? "dark" : "light";
  }, [scheme]);

  const reader = useMemo(
    () => ({ units, setUnits, scheme, setScheme, singleKeys, setSingleKeys, who, setWho }),
    [units, setUnits, scheme, setScheme, singleKeys, setSingleKeys, who, setWho],
  );
  return <Context value={reader}>{children}</Context>;
}

export function useReader(): Reader {
  const reader = useContext(Context);
  if (!reader) throw new Error("useReader stands outside its provider");
  return reader;
}

function useKept<Value>(key: string, first: Value): [Value, (value: Value) => void] {
  const [value, setValue] = useState<Value>(() => {
    try {
      return JSON.parse(localStorage.getItem(key) ?? "null") ?? first;
    } catch {
      return first;
    }
  });
  return useMemo(
    () => [
      value,
      (next: Value) => {
        setValue(next);
        localStorage.setItem(key, JSON.stringify(next));
      },
    ],
    [key, value],
  );
}
