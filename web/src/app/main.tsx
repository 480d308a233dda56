import "./fonts.css";

import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { createBrowserRouter, RouterProvider } from "react-router";

import { sendWhatWaits } from "../shared/desks";
import { ReaderProvider } from "../shared/reader";
import { PageFailed } from "./PageFailed";
import { system } from "./theme";

const queries = new QueryClient({ defaultOptions: { queries: { retry: 2, refetchOnWindowFocus: true } } });

/** Shown for the moment in which a page is fetched from this machine. */
const Nothing = () => null;

const router = createBrowserRouter([
  {
    HydrateFallback: Nothing,
    ErrorBoundary: PageFailed,
    children: [
      { path: "/", lazy: async () => ({ Component: (await import("../board/Board")).Board }) },
      {
        path: "/jobs/:jobId/report",
        lazy: async () => ({ Component: (await import("../report/ReportPage")).ReportPage }),
      },
      {
        path: "/jobs/:jobId/signed/:number",
        lazy: async () => ({ Component: (await import("../report/ReportPage")).ReportPage }),
      },
      { path: "/jobs/:jobId/card", lazy: async () => ({ Component: (await import("../report/PanelCard")).PanelCard }) },
      { path: "/devices", lazy: async () => ({ Component: (await import("../devices/DevicesPage")).DevicesPage }) },
      {
        path: "/bench/:part?/:which?",
        lazy: async () => ({ Component: (await import("../bench/BenchPage")).BenchPage }),
      },
      { path: "/visits", lazy: async () => ({ Component: (await import("../visits/Visits")).Visits }) },
      { path: "/catalogue", lazy: async () => ({ Component: (await import("../catalogue/Catalogue")).Catalogue }) },
      { path: "/jobs/:jobId/:station?", lazy: async () => ({ Component: (await import("./JobPage")).JobPage }) },
      { path: "/workings/:name?", lazy: async () => ({ Component: (await import("../workings/Workings")).Workings }) },
      { path: "/sites/:siteId", lazy: async () => ({ Component: (await import("../board/SitePage")).SitePage }) },
      { path: "/firm", lazy: async () => ({ Component: (await import("../report/FirmPage")).FirmPage }) },
      { path: "/rules", lazy: async () => ({ Component: (await import("../rules/Rules")).Rules }) },
      { path: "/glossary", lazy: async () => ({ Component: (await import("../rules/Glossary")).Glossary }) },
      { path: "*", lazy: async () => ({ Component: (await import("./NotFound")).NotFound }) },
    ],
  },
]);

sendWhatWaits();

createRoot(document.getElementById("root") as HTMLElement).render(
  <StrictMode>
    <ChakraProvider value={system}>
      <QueryClientProvider client={queries}>
        <ReaderProvider>
          <RouterProvider router={router} />
        </ReaderProvider>
      </QueryClientProvider>
    </ChakraProvider>
  </StrictMode>,
);
