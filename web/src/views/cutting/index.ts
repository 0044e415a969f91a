export { CuttingView } from './CuttingView.tsx';
