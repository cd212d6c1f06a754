export { default as MoneyLine } from './MoneyLine.svelte';
