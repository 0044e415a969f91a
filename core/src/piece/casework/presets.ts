// All presets of casework.
import type { Preset } from '../family/preset.ts';
import { KITCHEN } from './kitchenPresets.ts';
import { STORING } from './storingPresets.ts';

export const CASEWORK_PRESETS: readonly Preset[] = [...STORING, ...KITCHEN];
