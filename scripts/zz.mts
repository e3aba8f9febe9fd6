import { readFileSync } from 'node:fs';
import { parseRecipe } from '../src/core/recipe/parsing';
const texts = readFileSync(process.argv[2]!, 'utf8').split(/\n---\n/);
for (const text of texts) {
  const r = parseRecipe(text);
  console.log('=====', text.replace(/\n/g, ' ⏎ ').slice(0, 400));
  if (!r.ok) { console.log(r.problems); continue; }
  const { title, lines, steps, told, spans } = r.value;
  console.log('title:', title, '| told:', Object.entries(told).filter(([, v]) => v !== null && v !== false).map(([k, v]) => `${k}=${v}`).join(' '));
  for (const l of lines) if (l.status !== 'note') console.log('  ', l.status === 'read' ? `${l.name} ${Math.round(l.grams * 10) / 10} g [${l.quantity} ${l.unit}] ${l.preparationId ?? ''} {${l.assumptions.map((a) => a.code)}}` : `UNREAD ${l.problem.code}`, '<', l.text.slice(0, 80));
  for (const s of steps) console.log('   step', s.deeds.join('+'), s.minutes ?? '', s.overnight ? 'overnight' : '', s.celsius ?? '', '<', s.text.slice(0, 80));
  console.log('   ', spans.map((s) => `${{ ingredient: 'I', step: 'S', title: 'T', remark: 'r', unread: 'U' }[s.fate]}[${text.slice(s.start, s.end).trim()}]`).join(' '));
}
