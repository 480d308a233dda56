import { Box, chakra } from "@chakra-ui/react";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useEffect, useState } from "react";
import { Link, useParams } from "react-router";

import { NotFound } from "../app/NotFound";
import { TopLine } from "../app/TopLine";
import { api, type Refused, type Schemas, taken } from "../shared/api";
import { Micro, Press, Small, TextLine } from "../shared/parts";
import { useReader } from "../shared/reader";
import { UnitsProvider } from "../shared/units";
import { FigureText } from "../shared/Words";
import { JobLine } from "./JobLine";
import { dayOf } from "../shared/times";
import { say } from "../shared/say";

type SiteView = Schemas["SiteView"];

const WHOSE = [
  { name: "customer", label: say("site-page-customer") },
  { name: "contact", label: say("site-page-contact-whom") },
  { name: "address", label: say("site-page-address") },
] as const;

/** A site: whose it is, what its machines take now and with what was chosen, what is due first, and its jobs. */
export function SitePage() {
  const id = Number(useParams().siteId);
  const queries = useQueryClient();
  const key = ["site", id];
  const found = useQuery<SiteView, Refused>({
    queryKey: key,
    queryFn: () => taken(api.GET("/api/sites/{site_id}", { params: { path: { site_id: id } } })),
    enabled: Number.isInteger(id),
  });
  const reader = useReader();
  const view = found.data;
  useEffect(() => {
    document.title = say("site-page-modest-rotor", { site: view?.site.name ?? say("site-page-site") });
  }, [view?.site.name]);
  if (!Number.isInteger(id) || found.error?.status === 404) return <NotFound />;
  return (
    <UnitsProvider units={reader.units ?? view?.site.units ?? "si"} currency={view?.site.currency ?? null}>
      <TopLine
        trail={[{ label: say("site-page-board"), to: "/" }, { label: view?.site.name ?? say("site-page-site") }]}
      />
      <Box as="main" id="main" px={{ base: "14px", lg: "20px" }} pb="30px">
        <Box as="h1" fontSize="title" fontWeight={600} py="12px">
          {view?.site.name ?? say("site-page-site")}
        </Box>
        {found.error && <Box role="alert">{found.error.message}</Box>}
        {view && (
          <>
            <Energy view={view} />
            <Whose key={view.id} view={view} changed={(next) => queries.setQueryData(key, next)} />
            <Box as="h2" fontWeight={600} pt="18px" pb="4px" borderBottom="2px solid" borderColor="ink">
              {say("site-page-job", { jobs: view.jobs.length })}
            </Box>
            {view.jobs.map((job) => (
              <JobLine key={job.id} job={job} changed={() => void queries.invalidateQueries({ queryKey: key })} />
            ))}
          </>
        )}
      </Box>
    </UnitsProvider>
  );
}

/** Energy of its machines now and with what was chosen, of those of which both are known; and the first visit that is due. */
function Energy({ view }: { view: SiteView }) {
  const { energy, due } = view;
  return (
    <Box display="flex" flexWrap="wrap" gap="6px 40px" borderTop="2px solid" borderColor="ink" py="10px">
      <Told label={say("site-page-machines-take")}>
        {energy.now ? (
          <FigureText figure={energy.now} />
        ) : (
          <Small fontStyle="italic">{say("site-page-waits-hours")}</Small>
        )}
      </Told>
      <Told label={say("site-page-what-chosen")}>
        {energy.after ? (
          <FigureText figure={energy.after} />
        ) : (
          <Small fontStyle="italic">{say("site-page-waits-decision")}</Small>
        )}
      </Told>
      <Told label={say("site-page-next-visit")}>
        {due ? <Link to="/visits">{dayOf(due)}</Link> : <Small fontStyle="italic">{say("site-page-none-due")}</Small>}
      </Told>
      <Micro flexBasis="100%">{say("site-page-machines-those", { machines: energy.machines, of: energy.of })}</Micro>
    </Box>
  );
}

function Told({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <Box>
      <Small display="block">{label}</Small>
      <Box fontSize="title">{children}</Box>
    </Box>
  );
}

/** Customer, contact and address; kept when it is said so. */
function Whose({ view, changed }: { view: SiteView; changed: (view: SiteView) => void }) {
  const [told, setTold] = useState({
    customer: view.site.customer ?? "",
    contact: view.site.contact ?? "",
    address: view.site.address ?? "",
  });
  const [said, setSaid] = useState<string | null>(null);
  const differs = WHOSE.some(({ name }) => told[name] !== (view.site[name] ?? ""));
  const keep = async (event: FormEvent) => {
    event.preventDefault();
    try {
      changed(await taken(api.PUT("/api/sites/{site_id}", { params: { path: { site_id: view.id } }, body: told })));
      setSaid("Saved.");
    } catch (error) {
      setSaid((error as Refused).message);
    }
  };
  return (
    <Form onSubmit={(event) => void keep(event)}>
      {WHOSE.map(({ name, label }) => (
        <Box as="label" key={name} minWidth={0}>
          <Small display="block">{label}</Small>
          <TextLine
            value={told[name]}
            maxLength={name === "customer" ? 120 : 300}
            onChange={(event) => {
              setTold({ ...told, [name]: event.target.value });
              setSaid(null);
            }}
          />
        </Box>
      ))}
      <Press type="submit" disabled={!differs}>
        {say("site-page-keep")}
      </Press>
      <Box role="status">{said}</Box>
    </Form>
  );
}

const Form = chakra("form", {
  base: {
    display: "grid",
    gridTemplateColumns: { base: "1fr", md: "1fr 1fr", lg: "1fr 1.3fr 1.3fr auto auto" },
    gap: "8px 20px",
    alignItems: "end",
    borderTop: "1px solid",
    borderColor: "rule",
    py: "10px",
  },
});
