// Writes src/Sandbar.Css/Syntax/property-names.json: the names of CSS properties as css-tree carries them (MDN's data and its own patch) and as
// Debian's Chromium has them, with both versions, and which of them stand for several, as Chromium has it. A browser test tells when Chromium has learnt more.
// And src/Sandbar.Css/Grammar/grammars.json: what properties take and what types are made of, in the value definition syntax, as css-tree carries it,
// and in the place of some what grammar-patches.json says.
import { execFileSync } from "node:child_process";
import fs from "node:fs";
import { createRequire } from "node:module";
import os from "node:os";
import path from "node:path";
import { fileURLToPath } from "node:url";

const here = path.dirname(fileURLToPath(import.meta.url));
const require = createRequire(path.join(here, "../client/package.json"));
const { definitionSyntax, lexer, version } = require("css-tree");

const chromium = (...args) =>
  execFileSync("chromium", args, {
    encoding: "utf8",
    stdio: ["ignore", "pipe", "ignore"],
  });
const page =
  'data:text/html,<body><script>document.body.textContent = [...getComputedStyle(document.body)].join(" ")</script>';
const dom = chromium("--headless", "--no-sandbox", "--dump-dom", page);
const inChromium = /<body>([^<]*)/.exec(dom)[1].split(" ");

const names = [...new Set([...Object.keys(lexer.properties), ...inChromium])]
  .filter((name) => name && !name.startsWith("-"))
  .sort();

// A property that sets several is a shorthand: Chromium lists what it sets.
const file = path.join(
  fs.mkdtempSync(path.join(os.tmpdir(), "css-data-")),
  "longhands.html",
);
fs.writeFileSync(
  file,
  `<body><script>
    const longhands = {};
    const { style } = document.createElement('div');
    for (const name of ${JSON.stringify(names)}) {
      if (name === 'all') continue;
      style.cssText = name + ': inherit';
      const set = [...style].filter((n) => !n.startsWith('-'));
      if (set.length > 1) longhands[name] = set;
    }
    document.body.textContent = JSON.stringify(longhands);
  </script>`,
);
const longhands = JSON.parse(
  /<body>([^<]*)/.exec(
    chromium("--headless", "--no-sandbox", "--dump-dom", `file://${file}`),
  )[1],
);

const target = path.join(here, "../src/Sandbar.Css/Syntax/property-names.json");
const made = {
  madeBy: "scripts/make-css-data.mjs",
  "css-tree": version,
  chromium: /[\d.]+/.exec(chromium("--version"))[0],
  names,
  longhands,
};
fs.writeFileSync(target, JSON.stringify(made, null, 1) + "\n");

const patches = JSON.parse(
  fs.readFileSync(path.join(here, "grammar-patches.json"), "utf8"),
);
const written = (definitions, patched) =>
  Object.fromEntries(
    Object.entries(definitions)
      .filter(([, { syntax }]) => syntax)
      .map(([name, { syntax }]) => [name, definitionSyntax.generate(syntax)])
      // What is told token by token is for conditions and for filters of long ago.
      .filter(([, text]) => !text.includes("<function-token>"))
      .concat(Object.entries(patched))
      .sort(([a], [b]) => (a < b ? -1 : 1)),
  );
fs.writeFileSync(
  path.join(here, "../src/Sandbar.Css/Grammar/grammars.json"),
  JSON.stringify(
    {
      madeBy: "scripts/make-css-data.mjs",
      "css-tree": version,
      properties: written(lexer.properties, patches.properties),
      types: written(lexer.types, patches.types),
    },
    null,
    1,
  ) + "\n",
);
