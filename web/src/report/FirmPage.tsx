import { Box, chakra } from "@chakra-ui/react";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useEffect, useState } from "react";

import { TopLine } from "../app/TopLine";
import { api, type Refused, type Schemas, taken } from "../shared/api";
import { FilePress, Press, Small, TextLine, TextLines } from "../shared/parts";

type Firm = Schemas["Firm"];

/** In whose name reports are made: name, address and mark, once for all jobs. */
export function FirmPage() {
  const firm = useQuery<Firm, Refused>({ queryKey: ["firm"], queryFn: () => taken(api.GET("/api/firm")) });
  useEffect(() => {
    document.title = "The firm · Modest Rotor";
  }, []);
  return (
    <>
      <TopLine trail={[{ label: "Board", to: "/" }, { label: "The firm" }]} />
      <Box as="main" id="main" px={{ base: "14px", lg: "20px" }} pb="30px" maxWidth="760px">
        <Box as="h1" fontSize="title" fontWeight={600} py="12px">
          The firm
        </Box>
        <Box pb="8px">Its name, address and mark stand at the head of every report.</Box>
        {firm.error && <Box role="alert">{firm.error.message}</Box>}
        {firm.data && <Said firm={firm.data} />}
      </Box>
    </>
  );
}

function Said({ firm }: { firm: Firm }) {
  const queries = useQueryClient();
  const [name, setName] = useState(firm.name ?? "");
  const [address, setAddress] = useState(firm.address ?? "");
  const [told, setTold] = useState<string | null>(null);
  const [shown, setShown] = useState(0); // the mark is fetched anew when it was changed
  const doing = async (deed: Promise<Firm>) => {
    try {
      queries.setQueryData(["firm"], await deed);
      setTold("Saved.");
    } catch (error) {
      setTold((error as Refused).message);
    }
  };
  const keep = (event: FormEvent) => {
    event.preventDefault();
    void doing(taken(api.PUT("/api/firm", { body: { name, address } })));
  };
  const bring = async (file: File | undefined) => {
    if (!file) return;
    const body = await file.arrayBuffer();
    await doing(
      taken(
        api.POST("/api/firm/mark", {
          body: "",
          bodySerializer: () => body,
          headers: { "content-type": "application/octet-stream" },
        }),
      ),
    );
    setShown(shown + 1);
  };
  const differs = name !== (firm.name ?? "") || address !== (firm.address ?? "");
  return (
    <Form onSubmit={keep}>
      <label>
        <Small display="block">Name</Small>
        <TextLine value={name} maxLength={120} onChange={(event) => setName(event.target.value)} />
      </label>
      <label>
        <Small display="block">Address and how to be reached</Small>
        <TextLines rows={4} value={address} maxLength={300} onChange={(event) => setAddress(event.target.value)} />
      </label>
      <Box display="flex" gap="12px" flexWrap="wrap" alignItems="center">
        <Press type="submit" disabled={!differs}>
          Keep
        </Press>
        <FilePress>
          {firm.has_mark ? "another mark" : "bring a mark"}
          <input
            type="file"
            accept="image/jpeg,image/png,image/webp"
            aria-label="Mark of the firm"
            onChange={(event) => {
              void bring(event.target.files?.[0]);
              event.target.value = "";
            }}
          />
        </FilePress>
        {firm.has_mark && (
          <Press type="button" onClick={() => void doing(taken(api.DELETE("/api/firm/mark")))}>
            take the mark away
          </Press>
        )}
        <span role="status">{told}</span>
      </Box>
      {firm.has_mark && <Mark src={`/api/firm/mark?${shown}`} alt="The mark as reports show it" />}
    </Form>
  );
}

const Form = chakra("form", {
  base: { display: "grid", gap: "14px", borderTop: "2px solid", borderColor: "ink", pt: "12px" },
});

const Mark = chakra("img", { base: { maxHeight: "90px", maxWidth: "260px" } });
