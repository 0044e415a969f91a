export { makeApp } from './App.tsx';
