import { useState } from "react";

const KEY = "modest-rotor read";

/** Whether something was read today in this browser, and how to say so, or that it is wanted again. */
export function useReadToday(name: string | null): [boolean, (read: boolean) => void] {
  const today = new Date().toDateString();
  const [read, setRead] = useState(() => name !== null && kept()[name] === today);
  return [
    read,
    (now) => {
      setRead(now);
      if (name === null) return;
      const rest = Object.fromEntries(Object.entries(kept()).filter(([other, day]) => other !== name && day === today));
      localStorage.setItem(KEY, JSON.stringify(now ? { ...rest, [name]: today } : rest));
    },
  ];
}

function kept(): Record<string, string> {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? "{}") as Record<string, string>;
  } catch {
    return {};
  }
}
