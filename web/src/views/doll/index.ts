export { DollView } from './DollView.tsx';
