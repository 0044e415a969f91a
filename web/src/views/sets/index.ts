export { SetsView } from './SetsView.tsx';
