export { DoorView } from './DoorView.tsx';
