// After the front end is built: put the API documentation's own files beside it, and pack what packs well.
import { copyFileSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync, gzipSync } from "node:zlib";

const dist = "dist";
for (const name of ["swagger-ui.css", "swagger-ui-bundle.js"]) {
  copyFileSync(join("node_modules/swagger-ui-dist", name), join(dist, "docs", name));
}
for (const folder of [join(dist, "assets"), join(dist, "docs")]) {
  for (const name of readdirSync(folder).filter((name) => /\.(js|css|svg)$/.test(name))) {
    const file = join(folder, name);
    if (statSync(file).size <= 1400) continue;
    writeFileSync(`${file}.gz`, gzipSync(readFileSync(file), { level: 9 }));
    // A seventh less; browsers take it from this machine itself and over https.
    writeFileSync(`${file}.br`, brotliCompressSync(readFileSync(file)));
  }
}
