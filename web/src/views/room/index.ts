export { RoomView } from './RoomView.tsx';
