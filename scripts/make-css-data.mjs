// Writes src/Sandbar.Css/Syntax/property-names.json: the names of CSS properties as css-tree carries them (MDN's data and its own patch) and as
// Debian's Chromium has them, with both versions, and which of them stand for several, as Chromium has it. A browser test tells when Chromium has learnt more.
// src/Sandbar.Css/Properties/properties.json: what Chromium has of each property: its initial value, whether it is inherited, and what names stand for others.
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

// What is initial is what a plain box has that nobody styles; what is inherited is what one within another takes over from it, for some value that is not initial.
const words = Object.fromEntries(
  Object.entries(lexer.properties)
    .filter(([, { syntax }]) => syntax)
    .map(([name, { syntax }]) => [
      name,
      definitionSyntax.generate(syntax).match(/[a-zA-Z][a-zA-Z-]+/g) ?? [],
    ]),
);
const facts = path.join(
  fs.mkdtempSync(path.join(os.tmpdir(), "css-data-")),
  "facts.html",
);
fs.writeFileSync(
  facts,
  `<body><span id="outer" style="all: initial; color: rgb(1, 2, 3)"><span id="inner" style="all: unset"></span></span><script>
    const words = ${JSON.stringify(words)};
    const common = ["red", "5px", "12%", "3", "0.5", "2s", "'a'", "'abcd' 1", "red blue", "foo", "--foo", "50deg", "5px 6px", "url(#a)", "scale(2)", "auto 3px", "ellipse(2px 3px)", "foo 1", "1px 2px 3px red", "'a' 'b'", "bold", "square", "7", "light", "dark", "en"];
    const inner = document.getElementById("inner"), outer = document.getElementById("outer");
    const camel = Object.keys(Object.getOwnPropertyDescriptors(CSSStyleDeclaration.prototype));
    for (const key in inner.style) camel.push(key);
    const names = [...new Set([...camel.map((k) => k.replace(/^webkit/, "Webkit").replace(/[A-Z]/g, (c) => "-" + c.toLowerCase())), ...getComputedStyle(inner)])].filter((n) => n !== "all" && CSS.supports(n, "inherit"));
    const probe = document.createElement("div").style;
    const of = (element, name) => { try { return element.computedStyleMap().getAll(name).map(String).join(", "); } catch { return ""; } };
    const properties = {}, sets = {};
    for (const name of names.sort()) {
      probe.cssText = name + ": inherit";
      const set = [...probe];
      if (set.length !== 1 || set[0] !== name) { if (set.length) sets[name] = set; continue; }
      const initial = of(inner, name) || getComputedStyle(inner).getPropertyValue(name);
      if (!initial) continue;
      let inherited = false;
      for (const value of [...common, ...(words[name] ?? [])]) {
        if (name === "color") { inherited = true; break; }
        outer.style.setProperty(name, value);
        const given = of(outer, name);
        if (given !== initial && !/^rgb\\(1, 2, 3/.test(given)) {
          inherited = of(inner, name) === given;
          if (given) { outer.style.removeProperty(name); break; }
        }
        outer.style.removeProperty(name);
      }
      // What only the browser itself can set shows no difference here.
      if (name === "-webkit-line-break" || name === "-webkit-text-decorations-in-effect") inherited = true;
      const named = /^rgb\\(1, 2, 3/.test(initial) && name !== "color" ? "currentcolor" : name === "color" ? "rgb(0, 0, 0)" : initial;
      properties[name] = inherited ? { initial: named, inherited } : { initial: named };
    }
    document.body.textContent = JSON.stringify({ properties, sets });
  </script>`,
);
const unescape = (text) =>
  text.replaceAll("&lt;", "<").replaceAll("&gt;", ">").replaceAll("&amp;", "&");
const { properties, sets } = JSON.parse(
  unescape(
    /<body>([^<]*)/.exec(
      chromium("--headless", "--no-sandbox", "--dump-dom", `file://${facts}`),
    )[1],
  ),
);
fs.mkdirSync(path.join(here, "../src/Sandbar.Css/Properties"), {
  recursive: true,
});
fs.writeFileSync(
  path.join(here, "../src/Sandbar.Css/Properties/properties.json"),
  JSON.stringify(
    {
      madeBy: "scripts/make-css-data.mjs",
      chromium: /[\d.]+/.exec(chromium("--version"))[0],
      properties,
      sets,
    },
    null,
    1,
  ) + "\n",
);

const target = path.join(here, "../src/Sandbar.Css/Syntax/property-names.json");
const made = {
  madeBy: "scripts/make-css-data.mjs",
  "css-tree": version,
  chromium: /[\d.]+/.exec(chromium("--version"))[0],
  names,
};
fs.writeFileSync(target, JSON.stringify(made, null, 1) + "\n");

const patches = JSON.parse(
  fs.readFileSync(path.join(here, "grammar-patches.json"), "utf8"),
);
const written = (definitions, patched) =>
  Object.fromEntries(
    Object.entries(definitions)
      // A patch of null: Chromium does not know it.
      .filter(([name, { syntax }]) => syntax && patched[name] !== null)
      .map(([name, { syntax }]) => [name, definitionSyntax.generate(syntax)])
      // What is told token by token is for conditions and for filters of long ago.
      .filter(([, text]) => !text.includes("<function-token>"))
      .concat(Object.entries(patched).filter(([, text]) => text !== null))
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
      // Of what takes ranges of characters, or anything, the names alone.
      descriptors: Object.fromEntries(
        Object.entries(patches.descriptors).map(([rule, patched]) => [
          rule,
          Object.fromEntries(
            Object.entries(
              written(lexer.atrules[rule].descriptors, patched),
            ).map(([name, text]) => [
              name,
              /<(urange|declaration-value)>/.test(text) ? "" : text,
            ]),
          ),
        ]),
      ),
    },
    null,
    1,
  ) + "\n",
);
