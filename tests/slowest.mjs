// Keeps the time of every test of the last run (times.tsv, slowest first) and prints the ten slowest.
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";

const [folder, ...suites] = process.argv.slice(2);
const unescaped = (text) => text.replace(/&quot;/g, '"').replace(/&lt;/g, "<").replace(/&gt;/g, ">").replace(/&amp;/g, "&");

const ofXml = (text) => [...text.matchAll(/<test [^>]*?name="([^"]*)"[^>]*?time="([^"]*)"/g)].map(([, name, time]) => ({ name: unescaped(name), seconds: Number(time) }));
const ofVitest = (report) => report.testResults.flatMap((file) => file.assertionResults.map((t) => ({ name: t.fullName, seconds: (t.duration ?? 0) / 1000 })));
const ofPlaywright = (suite) => [
  ...(suite.specs ?? []).map((spec) => ({ name: spec.title, seconds: spec.tests.flatMap((t) => t.results).reduce((sum, r) => sum + r.duration, 0) / 1000 })),
  ...(suite.suites ?? []).flatMap(ofPlaywright),
];

const read = (suite) => {
  const file = ["xml", "json"].map((ending) => join(folder, `${suite}.${ending}`)).find(existsSync);
  if (!file) {
    return [];
  }
  const text = readFileSync(file, "utf8");
  if (file.endsWith(".xml")) {
    return ofXml(text);
  }
  const report = JSON.parse(text);
  return report.testResults ? ofVitest(report) : (report.suites ?? []).flatMap(ofPlaywright);
};

const times = suites.flatMap((suite) => read(suite).map((t) => ({ suite, ...t }))).sort((a, b) => b.seconds - a.seconds);
writeFileSync(join(folder, "times.tsv"), times.map((t) => `${t.seconds.toFixed(3)}\t${t.suite}\t${t.name}\n`).join(""));
for (const { suite, name, seconds } of times.slice(0, 10)) {
  console.log(`${seconds.toFixed(1).padStart(6)} s  ${suite.padEnd(7)} ${name.length > 130 ? `${name.slice(0, 129)}…` : name}`);
}
