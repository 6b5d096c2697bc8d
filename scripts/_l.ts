import { theKnowledge } from '../packages/contract/src/knowledge/knowledge.ts';
import { diagnose } from '../packages/core/src/diagnosis/diagnose.ts';
import { readFileSync } from 'node:fs';
const t0 = performance.now(); const { knowledge } = theKnowledge(); console.log('load ms', performance.now() - t0);
const cases = JSON.parse(readFileSync('packages/contract/test/diagnosis/cases.json', 'utf8')).cases;
for (const w of cases) {
  const observations = Object.entries(w.answers).map(([question, answer]) => ({ question, answer: answer as string }));
  const t = performance.now();
  const d = diagnose(knowledge, { observations, log: w.log });
  const ms = performance.now() - t;
  console.log(w.id, d.decided ? 'YES' : `no(${d.doubt})`, w.expect.stop ? 'STOP' : '', d.faults.slice(0, 2).map((f) => `${f.id} ${f.probability.toFixed(2)}`).join(' '), '2nd', d.secondFault?.id ?? '-', '|', d.causes.slice(0, 3).map((c) => `${c.id}@${c.layer} ${c.probability.toFixed(2)}`).join(' '), '| clr', d.cleared.map((c) => c.id).join(','), '| chg', d.changes.map((c) => c.cause).join(','), '|', d.repair?.rung.verdict, d.repair?.below ?? '', d.repair?.budget?.valueUm ?? '', '| q', d.offers[0]?.id, JSON.stringify(d.check), ms.toFixed(1));
}
