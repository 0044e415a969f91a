export { CoveringsView } from './CoveringsView.tsx';
