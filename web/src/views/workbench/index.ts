export { Workbench } from './Workbench.tsx';
