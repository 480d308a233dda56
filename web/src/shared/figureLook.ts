/** The line under a figure, by what the figure stands on. */
export const LINES = {
  measured: { borderBottom: "2px solid", borderColor: "ink" },
  plate: { borderTop: "1.5px solid", borderBottom: "1.5px solid", borderColor: "ink" },
  estimated: { borderBottom: "2px dashed", borderColor: "ink" },
  assumed: { borderBottom: "2px dotted", borderColor: "ink", fontStyle: "italic" },
  typed: {},
  "worked-out": {},
};

/** The look of every figure, said once for the page: value, line, uncertainty and unit; a figure and its uncertainty never part. */
export const FIGURES = {
  "[data-figure]": { whiteSpace: "nowrap" },
  "[data-figure=range]": { whiteSpace: { base: "normal", md: "nowrap" } },
  "[data-standing]": { fontWeight: 600 },
  ...Object.fromEntries(Object.entries(LINES).map(([basis, look]) => [`[data-standing="${basis}"]`, look])),
  "[data-figure-uncertainty]": { color: "ink2", fontWeight: 400 },
  "[data-figure-unit]": { color: "ink2", fontWeight: 400, fontSize: "0.87em" },
};
