export { PrintingView } from './PrintingView.tsx';
