export { GoodsView } from './GoodsView.tsx';
