import '@fontsource-variable/archivo/wdth.css';
import '@fontsource-variable/red-hat-mono';
import { mount } from 'svelte';
import App from './App.svelte';
import './app.css';

const target = document.getElementById('page');
if (target) mount(App, { target });
