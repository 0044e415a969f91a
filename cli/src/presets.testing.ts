// Presets planned one by one as files of a maker would be, and what is wrong with what comes of it.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { PRESETS } from '@parlor/core/piece';

const root = resolve(import.meta.dirname, '../..');

/** Millimetres of a grown woman's stature. */
const STATURE = 1_650;

/** The usual scales at which every preset alone must be planned. */
export const PLANNED_SCALES = [4, 6, 12] as const;

/** Plans a preset alone at so many times smaller than life. Gives back what is wrong: an exit that is not 0, findings that are errors, pages that poppler
 *  does not open. */
export const wrongWithPreset = (key: string, times: number): readonly string[] => {
  const directory = mkdtempSync(join(tmpdir(), 'parlor-preset-'));
  const file = join(directory, 'preset.parlor.json');
  const out = join(directory, 'out');
  const doll = {
    stature: `${STATURE} mm`,
    height: `${STATURE / times} mm`,
    standsFor: 'woman',
    scale: { by: 'ratio', ratio: times },
  };
  const piece = PRESETS.find((each) => each.key === key)?.piece;
  writeFileSync(file, JSON.stringify({ format: 'bashful-parlor-set', version: 1, name: key, doll, pieces: [piece] }));
  const { status, stderr } = spawnSync(process.execPath, [join(root, 'cli/dist/main.js'), 'plan', file, '--out', out, '--strict'], {
    encoding: 'utf8',
    cwd: root,
  });
  const wrong = status === 0 ? [] : [`exit ${status}: ${stderr.trim()}`];
  if (status === 0) {
    const { findings } = JSON.parse(readFileSync(join(out, 'derived.json'), 'utf8')) as {
      findings: readonly { severity: string; message: string }[];
    };
    wrong.push(...findings.filter(({ severity }) => severity === 'error').map(({ message }) => message));
    for (const pages of readdirSync(out).filter((name) => name.endsWith('.pdf'))) {
      const info = spawnSync('pdfinfo', [join(out, pages)], { encoding: 'utf8' });
      if (info.status !== 0 || !/^Pages: +[1-9]/m.test(info.stdout)) wrong.push(`${pages}: ${info.stderr}`);
    }
  }
  rmSync(directory, { recursive: true });
  return wrong.map((each) => `${key} at 1:${times}: ${each}`);
};
