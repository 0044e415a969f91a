export { createApp } from './createApp.ts';
