import "./fonts.css";

import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { type ComponentType, lazy, StrictMode, Suspense } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter, Route, Routes } from "react-router";

import { ReaderProvider } from "../shared/reader";
import { type Page, SHORT } from "../shared/stations";
import { Boundary } from "./Boundary";
import { firstShown, SHEETS } from "./sheets";
import { system } from "./theme";

const queries = new QueryClient({ defaultOptions: { queries: { retry: 2, refetchOnWindowFocus: true } } });

/** A page by the name under which its file gives it, fetched when it is gone to. */
function page<Name extends string>(load: () => Promise<Record<Name, ComponentType>>, name: Name) {
  return lazy(() => load().then((file) => ({ default: file[name] })));
}

const Board = page(() => import("../board/Board"), "Board");
const SitePage = page(() => import("../board/SitePage"), "SitePage");
const JobPage = page(() => import("./JobPage"), "JobPage");
const ReportPage = page(() => import("../report/ReportPage"), "ReportPage");
const PanelCard = page(() => import("../report/PanelCard"), "PanelCard");
const FirmPage = page(() => import("../report/FirmPage"), "FirmPage");
const DevicesPage = page(() => import("../devices/DevicesPage"), "DevicesPage");
const BenchPage = page(() => import("../bench/BenchPage"), "BenchPage");
const Visits = page(() => import("../visits/Visits"), "Visits");
const Catalogue = page(() => import("../catalogue/Catalogue"), "Catalogue");
const Workings = page(() => import("../workings/Workings"), "Workings");
const Rules = page(() => import("../rules/Rules"), "Rules");
const Glossary = page(() => import("../rules/Glossary"), "Glossary");
const NotFound = page(() => import("./NotFound"), "NotFound");
const Renewed = page(() => import("./Renewed"), "Renewed");

/** Every page by its address, fetched when it is gone to; the one before stays until it is there. */
function Pages() {
  return (
    <Boundary>
      <Suspense>
        <Routes>
          <Route path="/" element={<Board />} />
          <Route path="/sites/:siteId" element={<SitePage />} />
          <Route path="/jobs/:jobId/report" element={<ReportPage />} />
          <Route path="/jobs/:jobId/signed/:number" element={<ReportPage />} />
          <Route path="/jobs/:jobId/card" element={<PanelCard />} />
          <Route path="/jobs/:jobId/:station?" element={<JobPage />} />
          <Route path="/firm" element={<FirmPage />} />
          <Route path="/devices" element={<DevicesPage />} />
          <Route path="/bench/:part?/:which?" element={<BenchPage />} />
          <Route path="/visits" element={<Visits />} />
          <Route path="/catalogue" element={<Catalogue />} />
          <Route path="/workings/:name?" element={<Workings />} />
          <Route path="/rules" element={<Rules />} />
          <Route path="/glossary" element={<Glossary />} />
          <Route path="*" element={<NotFound />} />
        </Routes>
      </Suspense>
    </Boundary>
  );
}

// A job and its sheet are asked for while the page that shows them is still on its way.
const [, job, station] = /^\/jobs\/(\d+)(?:\/([a-z]+))?$/.exec(window.location.pathname) ?? [];
const firstPage = (station ?? SHORT) as Page;
const sheet = job && firstPage in SHEETS ? SHEETS[firstPage] : null;
// Where it is not there, the page says so.
sheet?.load().catch(() => undefined);

void import("../shared/desks").then(({ deskOf, sendWhatWaits }) => {
  if (sheet) deskOf(Number(job)).expect(firstShown(firstPage));
  // What waits to be sent is nobody's first look.
  sendWhatWaits();
});

createRoot(document.getElementById("root") as HTMLElement).render(
  <StrictMode>
    <ChakraProvider value={system}>
      <QueryClientProvider client={queries}>
        <ReaderProvider>
          <BrowserRouter>
            <Suspense>
              <Renewed />
            </Suspense>
            <Pages />
          </BrowserRouter>
        </ReaderProvider>
      </QueryClientProvider>
    </ChakraProvider>
  </StrictMode>,
);
