export { TwoVersions } from './TwoVersions.tsx';
