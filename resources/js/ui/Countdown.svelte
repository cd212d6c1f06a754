<script lang="ts">
  import { now } from './now.svelte';

  /** Counts down to a kept moment, and up once it has rung. */
  let { until, atMost = null }: { until: string; atMost?: string | null } = $props();

  const left = $derived(Math.round((Date.parse(until) - now.ms) / 1000));
  const over = $derived(atMost !== null && now.ms > Date.parse(atMost));
  const words = (seconds: number): string => {
    const s = Math.abs(seconds);
    const h = Math.floor(s / 3600);
    const mm = String(Math.floor((s % 3600) / 60)).padStart(h > 0 ? 2 : 1, '0');
    return `${h > 0 ? `${h}:` : ''}${mm}:${String(s % 60).padStart(2, '0')}`;
  };
</script>

<span class={['fig font-bold', over ? 'text-red' : left <= 0 ? 'text-out' : '']}
  >{left > 0 ? words(left) : `+${words(left)}`}</span
>
