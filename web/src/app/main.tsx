import "./fonts.css";

import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { createBrowserRouter, RouterProvider } from "react-router";

import { ReaderProvider } from "../shared/reader";
import { system } from "./theme";

const queries = new QueryClient({ defaultOptions: { queries: { retry: 2, refetchOnWindowFocus: true } } });

/** Shown for the moment in which a page is fetched from this machine. */
const Nothing = () => null;

const router = createBrowserRouter([
  { path: "/", HydrateFallback: Nothing, lazy: async () => ({ Component: (await import("../board/Board")).Board }) },
  {
    path: "/jobs/:jobId/report",
    HydrateFallback: Nothing,
    lazy: async () => ({ Component: (await import("../report/ReportPage")).ReportPage }),
  },
  {
    path: "/jobs/:jobId/signed/:number",
    HydrateFallback: Nothing,
    lazy: async () => ({ Component: (await import("../report/ReportPage")).ReportPage }),
  },
  {
    path: "/jobs/:jobId/card",
    HydrateFallback: Nothing,
    lazy: async () => ({ Component: (await import("../report/PanelCard")).PanelCard }),
  },
  {
    path: "/devices",
    HydrateFallback: Nothing,
    lazy: async () => ({ Component: (await import("../devices/DevicesPage")).DevicesPage }),
  },
  {
    path: "/bench/:part?/:which?",
    HydrateFallback: Nothing,
    lazy: async () => ({ Component: (await import("../bench/BenchPage")).BenchPage }),
  },
  {
    path: "/visits",
    HydrateFallback: Nothing,
    lazy: async () => ({ Component: (await import("../visits/Visits")).Visits }),
  },
  {
    path: "/catalogue",
    HydrateFallback: Nothing,
    lazy: async () => ({ Component: (await import("../catalogue/Catalogue")).Catalogue }),
  },
  {
    path: "/jobs/:jobId/:station?",
    HydrateFallback: Nothing,
    lazy: async () => ({ Component: (await import("./JobPage")).JobPage }),
  },
  {
    path: "/workings/:name?",
    HydrateFallback: Nothing,
    lazy: async () => ({ Component: (await import("../workings/Workings")).Workings }),
  },
  {
    path: "/rules",
    HydrateFallback: Nothing,
    lazy: async () => ({ Component: (await import("../rules/Rules")).Rules }),
  },
  { path: "*", HydrateFallback: Nothing, lazy: async () => ({ Component: (await import("./NotFound")).NotFound }) },
]);

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
