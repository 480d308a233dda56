// Written by tools/generate.py from the core's models. Never edited.
export const ROW_FIELDS = ["id", "letter", "kind", "title", "series", "product", "fits", "stop", "upheld"] as const;
