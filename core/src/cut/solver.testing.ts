// For tests: the solver as the worker loads it.
import loadHighs from 'highs';
import { solverFrom } from './highsSolver.ts';

export const solve = solverFrom(await loadHighs());
