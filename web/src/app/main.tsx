import "./fonts.css";

import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { lazy, StrictMode, Suspense } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter, Route, Routes } from "react-router";

import { ReaderProvider } from "../shared/reader";
import { Boundary } from "./Boundary";
import { system } from "./theme";

const queries = new QueryClient({ defaultOptions: { queries: { retry: 2, refetchOnWindowFocus: true } } });

const Board = lazy(() => import("../board/Board").then((page) => ({ default: page.Board })));
const SitePage = lazy(() => import("../board/SitePage").then((page) => ({ default: page.SitePage })));
const JobPage = lazy(() => import("./JobPage").then((page) => ({ default: page.JobPage })));
const ReportPage = lazy(() => import("../report/ReportPage").then((page) => ({ default: page.ReportPage })));
const PanelCard = lazy(() => import("../report/PanelCard").then((page) => ({ default: page.PanelCard })));
const FirmPage = lazy(() => import("../report/FirmPage").then((page) => ({ default: page.FirmPage })));
const DevicesPage = lazy(() => import("../devices/DevicesPage").then((page) => ({ default: page.DevicesPage })));
const BenchPage = lazy(() => import("../bench/BenchPage").then((page) => ({ default: page.BenchPage })));
const Visits = lazy(() => import("../visits/Visits").then((page) => ({ default: page.Visits })));
const Catalogue = lazy(() => import("../catalogue/Catalogue").then((page) => ({ default: page.Catalogue })));
const Workings = lazy(() => import("../workings/Workings").then((page) => ({ default: page.Workings })));
const Rules = lazy(() => import("../rules/Rules").then((page) => ({ default: page.Rules })));
const Glossary = lazy(() => import("../rules/Glossary").then((page) => ({ default: page.Glossary })));
const NotFound = lazy(() => import("./NotFound").then((page) => ({ default: page.NotFound })));

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

// What waits to be sent is nobody's first look.
void import("../shared/desks").then(({ sendWhatWaits }) => sendWhatWaits());

createRoot(document.getElementById("root") as HTMLElement).render(
  <StrictMode>
    <ChakraProvider value={system}>
      <QueryClientProvider client={queries}>
        <ReaderProvider>
          <BrowserRouter>
            <Pages />
          </BrowserRouter>
        </ReaderProvider>
      </QueryClientProvider>
    </ChakraProvider>
  </StrictMode>,
);
