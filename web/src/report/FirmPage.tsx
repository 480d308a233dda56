import { Box, chakra } from "@chakra-ui/react";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useEffect, useState } from "react";

import { TopLine } from "../app/TopLine";
import { api, type Refused, type Schemas, taken } from "../shared/api";
import { FilePress, Press, Small, TextLine, TextLines } from "../shared/parts";
import { say } from "../shared/say";

type Firm = Schemas["Firm"];

/** In whose name reports are made: name, address and mark, once for all jobs. */
export function FirmPage() {
  const firm = useQuery<Firm, Refused>({ queryKey: ["firm"], queryFn: () => taken(api.GET("/api/firm")) });
  useEffect(() => {
    document.title = say("firm-page-firm-modest");
  }, []);
  return (
    <>
      <TopLine trail={[{ label: say("firm-page-board"), to: "/" }, { label: say("firm-page-firm") }]} />
      <Box as="main" id="main" px={{ base: "14px", lg: "20px" }} pb="30px" maxWidth="760px">
        <Box as="h1" fontSize="title" fontWeight={600} py="12px">
          {say("firm-page-firm")}
        </Box>
        <Box pb="8px">{say("firm-page-name-address")}</Box>
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
        <Small display="block">{say("firm-page-name")}</Small>
        <TextLine value={name} maxLength={120} onChange={(event) => setName(event.target.value)} />
      </label>
      <label>
        <Small display="block">{say("firm-page-address-how")}</Small>
        <TextLines rows={4} value={address} maxLength={300} onChange={(event) => setAddress(event.target.value)} />
      </label>
      <Box display="flex" gap="12px" flexWrap="wrap" alignItems="center">
        <Press type="submit" disabled={!differs}>
          {say("firm-page-keep")}
        </Press>
        <FilePress>
          {firm.has_mark ? say("firm-page-another-mark") : say("firm-page-bring-mark")}
          <input
            type="file"
            accept="image/jpeg,image/png,image/webp"
            aria-label={say("firm-page-mark-firm")}
            onChange={(event) => {
              void bring(event.target.files?.[0]);
              event.target.value = "";
            }}
          />
        </FilePress>
        {firm.has_mark && (
          <Press type="button" onClick={() => void doing(taken(api.DELETE("/api/firm/mark")))}>
            {say("firm-page-take-mark")}
          </Press>
        )}
        <span role="status">{told}</span>
      </Box>
      {firm.has_mark && <Mark src={`/api/firm/mark?${shown}`} alt={say("firm-page-mark-reports")} />}
    </Form>
  );
}

const Form = chakra("form", {
  base: { display: "grid", gap: "14px", borderTop: "2px solid", borderColor: "ink", pt: "12px" },
});

const Mark = chakra("img", { base: { maxHeight: "90px", maxWidth: "260px" } });
