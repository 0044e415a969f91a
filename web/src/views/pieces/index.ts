export { PiecesView } from './PiecesView.tsx';
