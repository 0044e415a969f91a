export { HistoryView } from './HistoryView.tsx';
