import { wordsOf } from "../../shared/fields";
import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";

import { fields } from "../../generated/fields";
import { NEVER_ON } from "../../generated/kinds";
import { api, type Refused, type Schemas, taken } from "../../shared/api";
import { useJob } from "../../shared/job";
import { Micro, Press } from "../../shared/parts";
import { say } from "../../shared/say";

type Product = Schemas["Product"];
type Kind = Schemas["OptionKind"];

const KINDS = fields["options/candidates/*/kind"].choices.filter((kind) => kind !== "keep") as Kind[];

/** Kinds that can be on a machine; all of them while nobody said what the motor drives. */
function kindsOn(type: string | null | undefined) {
  const machine = type === "pump" ? "pump" : "fan";
  return type ? KINDS.filter((kind) => NEVER_ON[kind] !== machine) : KINDS;
}

/** One more option: its kind, and a product of the catalogue where one is named. */
export function AddOption({ close }: { close: () => void }) {
  const { desk, view } = useJob();
  const [kind, setKind] = useState<Kind | null>(null);
  const products = useQuery<readonly Product[], Refused>({
    queryKey: ["catalogue", kind],
    queryFn: () => taken(api.GET("/api/catalogue", { params: { query: { kind } } })),
    enabled: kind !== null,
  });
  const add = async (code: string | null) => {
    if (!kind) return;
    await desk.consider(kind, code);
    close();
  };
  return (
    <Box role="region" aria-label={say("add-option-add-option")} borderBottom="2px solid" borderColor="ink" py="8px">
      <Box fontWeight={600}>{say("add-option-kind")}</Box>
      <Box display="flex" flexWrap="wrap" gap="4px" py="4px">
        {kindsOn(view.machine.type).map((one) => (
          <KindCell key={one} type="button" aria-pressed={one === kind} onClick={() => setKind(one)}>
            {wordsOf(fields["options/candidates/*/kind"], one)}
          </KindCell>
        ))}
      </Box>
      {kind && (
        <>
          <Box fontWeight={600} pt="6px">
            {say("add-option-product")}
          </Box>
          {products.error && <Box role="alert">{products.error.message}</Box>}
          <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} gap="4px" py="4px">
            <Press type="button" textAlign="left" fontWeight={400} onClick={() => void add(null)}>
              {say("add-option-none-yet")}
            </Press>
            {(products.data ?? []).map((product) => (
              <Press
                key={product.code}
                type="button"
                textAlign="left"
                fontWeight={400}
                onClick={() => void add(product.code)}
              >
                {product.name}
                <Micro display="block">
                  {[
                    product.rated_voltage?.typed,
                    product.frame,
                    product.price && say("add-option-price-told", { price: product.price.typed }),
                    product.van_stock === "yes" ? say("add-option-in-van") : product.lead_time?.typed,
                  ]
                    .filter(Boolean)
                    .join(" · ")}
                </Micro>
              </Press>
            ))}
          </Box>
          <a href="/catalogue">{say("add-option-whole-catalogue")}</a>
        </>
      )}
    </Box>
  );
}

const KindCell = chakra("button", {
  base: {
    minHeight: "44px",
    px: "10px",
    border: "1px solid",
    borderColor: "rule",
    fontSize: "small",
    background: "paper",
    _hover: { background: "desk" },
    "&[aria-pressed=true]": { background: "desk", fontWeight: 600, borderBottomWidth: "3px", borderBottomColor: "ink" },
  },
});
