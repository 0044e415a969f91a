export { App } from './App.tsx';
