import { useEffect, useState } from "react";

import { fieldName } from "./paths";

let known: Readonly<Record<string, string>> | null = null;

/** What is meant by the field at a path; the words of all fields are fetched with the first. */
export function Help({ path }: { path: string }) {
  const [helps, setHelps] = useState(known);
  useEffect(() => {
    if (helps) return;
    void import("../generated/helps").then((fetched) => {
      known = fetched.helps;
      setHelps(fetched.helps);
    });
  }, [helps]);
  return helps ? helps[fieldName(path)] : "…";
}
