import { createContext, type ReactNode, useContext, useMemo } from "react";

import type { UnitSystem } from "./reader";

interface Units {
  units: UnitSystem;
  currency: string | null;
}

const Context = createContext<Units>({ units: "si", currency: null });

/** The units and the currency in which everything below is written. */
export function UnitsProvider({ units, currency, children }: Units & { children: ReactNode }) {
  const value = useMemo(() => ({ units, currency }), [units, currency]);
  return <Context value={value}>{children}</Context>;
}

export function useUnits(): Units {
  return useContext(Context);
}
