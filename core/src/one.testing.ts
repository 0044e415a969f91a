import { PRESETS } from './piece/index.ts';
import { derive, describeFinding, readSet } from './set/index.ts';

for (const k of ['two-cells', 'arched-room', 'bay-room']) {
  const r = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    name: k,
    boards: [{ id: 'white', nominal: '5 mm' }],
    pieces: [PRESETS.find((p) => p.key === k)!.piece],
  });
  if (!r.ok) {
    console.log(k, JSON.stringify(r.error).slice(0, 300));
    continue;
  }
  const d = derive(r.value);
  for (const q of d.pieces) {
    console.log(k, [...new Set(q.made?.assembly.parts.map((p) => p.role + '|' + p.name + '|' + p.id))].join('\n'));
  }
}
