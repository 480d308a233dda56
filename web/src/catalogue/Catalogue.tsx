import { Box } from "@chakra-ui/react";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";

import { TopLine } from "../app/TopLine";
import { api, type Refused, type Schemas, taken } from "../shared/api";
import { Micro, Press, Small, Word } from "../shared/parts";
import { EntryForm } from "./EntryForm";
import { Import } from "./Import";
import { say } from "../shared/say";

type Product = Schemas["Product"];

const TYPES: readonly { type: Product["type"]; title: string }[] = [
  { type: "motor", title: say("catalogue-motors") },
  { type: "module", title: say("catalogue-modules") },
  { type: "drive", title: say("catalogue-drives") },
  { type: "regulator", title: say("catalogue-regulators") },
  { type: "fan", title: say("catalogue-fans-their") },
  { type: "pump", title: say("catalogue-pumps-their") },
];

/** What could be fitted: listed, added, copied, changed, taken out and in. All that ships is invented. */
export function Catalogue() {
  const products = useQuery<readonly Product[], Refused>({
    queryKey: ["catalogue"],
    queryFn: () => taken(api.GET("/api/catalogue")),
  });
  const [editing, setEditing] = useState<{ product: Partial<Product>; isNew: boolean } | null>(null);
  useEffect(() => {
    document.title = say("catalogue-catalogue-modest");
  }, []);
  return (
    <>
      <TopLine trail={[{ label: say("catalogue-board"), to: "/" }, { label: say("catalogue-catalogue") }]} />
      <Box as="main" id="main" px={{ base: "14px", lg: "20px" }} pb="30px" maxWidth="1500px">
        <Box
          display="flex"
          justifyContent="space-between"
          alignItems="center"
          borderBottom="2px solid"
          borderColor="ink"
          flexWrap="wrap"
        >
          <Box as="h1" fontSize="title" fontWeight={600} py="8px">
            {say("catalogue-catalogue")}
          </Box>
          <Press type="button" my="4px" onClick={() => setEditing({ product: { type: "motor" }, isNew: true })}>
            {say("catalogue-add-entry")}
          </Press>
        </Box>
        <Small display="block" py="6px">
          {say("catalogue-every-entry")}
        </Small>
        {editing && (
          <EntryForm
            key={editing.product.code ?? "new"}
            product={editing.product}
            isNew={editing.isNew}
            close={() => setEditing(null)}
          />
        )}
        <InAndOut />
        {products.error && <Box role="alert">{products.error.message}</Box>}
        {TYPES.map(({ type, title }) => {
          const own = (products.data ?? []).filter((product) => product.type === type);
          if (own.length === 0) return null;
          return (
            <Box as="section" key={type} aria-label={title} pt="12px">
              <Box as="h2" fontWeight={600} borderBottom="1px solid" borderColor="rule">
                {title} <Micro>{own.length}</Micro>
              </Box>
              {own.map((product) => (
                <ProductLine
                  key={product.code}
                  product={product}
                  edit={() => setEditing({ product, isNew: false })}
                  copy={() => setEditing({ product: { ...product, code: `${product.code}-copy` }, isNew: true })}
                />
              ))}
            </Box>
          );
        })}
      </Box>
    </>
  );
}

function InAndOut() {
  return (
    <Box
      display="flex"
      gap="6px 20px"
      flexWrap="wrap"
      alignItems="center"
      borderBottom="1px solid"
      borderColor="hair"
      pb="6px"
    >
      {(["csv", "json"] as const).map((form) => (
        <a key={form} href={`/api/catalogue/file/${form}`} download style={LINK}>
          {say("catalogue-take-out", { toUpperCase: form.toUpperCase() })}
        </a>
      ))}
      <a href="/api/catalogue/schema" style={LINK}>
        {say("catalogue-format-s")}
      </a>
      <Import />
    </Box>
  );
}

const LINK = { minHeight: 44, display: "inline-flex", alignItems: "center" };

function ProductLine({ product, edit, copy }: { product: Product; edit: () => void; copy: () => void }) {
  const queries = useQueryClient();
  const [sure, setSure] = useState(false);
  const remove = useMutation<unknown, Refused>({
    mutationFn: () => taken(api.DELETE("/api/catalogue/{code}", { params: { path: { code: product.code } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["catalogue"] }),
  });
  const said = [
    product.rated_power?.typed,
    product.rated_voltage &&
      `${product.rated_voltage.typed}${product.phases === 3 ? say("catalogue-three-phase") : ""}`,
    product.rated_speed?.typed,
    product.frame && say("catalogue-frame-told", { frame: product.frame }),
    product.least_efficiency && say("catalogue-guaranteed", { efficiency: product.least_efficiency.typed }),
    product.curve && product.curve.length > 0 && say("catalogue-curve", { count: product.curve.length }),
  ].filter(Boolean);
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 1fr) 90px 90px 190px" }}
      gap="0 14px"
      alignItems="center"
      borderBottom="1px solid"
      borderColor="hair"
      py="3px"
      data-product={product.code}
    >
      <Box>
        <Box fontWeight={600}>{product.name}</Box>
        <Micro>
          {product.code} · {said.join(" · ")}
        </Micro>
      </Box>
      <Box fontSize="small">{product.price?.typed ?? say("catalogue-price")}</Box>
      <Box fontSize="small">
        {product.van_stock === "yes" ? say("catalogue-van") : (product.lead_time?.typed ?? "")}
      </Box>
      <Box display="flex" gap="14px">
        <Word
          type="button"
          mx="0"
          px="0"
          onClick={edit}
          aria-label={say("catalogue-change-2", { product: product.name })}
        >
          {say("catalogue-change")}
        </Word>
        <Word
          type="button"
          mx="0"
          px="0"
          onClick={copy}
          aria-label={say("catalogue-copy-2", { product: product.name })}
        >
          {say("catalogue-copy")}
        </Word>
        <Word
          type="button"
          mx="0"
          px="0"
          aria-label={`${sure ? say("catalogue-press-again") : "remove"}: ${product.name}`}
          onClick={() => (sure ? remove.mutate() : setSure(true))}
          onBlur={() => setSure(false)}
        >
          {sure ? say("catalogue-press-again") : "remove"}
        </Word>
      </Box>
      {remove.error && <Box role="alert">{remove.error.message}</Box>}
    </Box>
  );
}
