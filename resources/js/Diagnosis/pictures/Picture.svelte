<script lang="ts">
  import type { Component } from 'svelte';
  import FirstLayer from './FirstLayer.svelte';
  import GearDust from './GearDust.svelte';
  import ScrewWear from './ScrewWear.svelte';
  import Strand from './Strand.svelte';
  import Walls from './Walls.svelte';
  import WheelWear from './WheelWear.svelte';

  /** Drawings to compare with by eye, named in the knowledge files. */
  let { name }: { name: string } = $props();

  const drawings: Record<string, Component> = {
    'first-layer': FirstLayer,
    strand: Strand,
    walls: Walls,
    'gear-dust': GearDust,
    'wheel-wear': WheelWear,
    'screw-wear': ScrewWear,
  };
  const Drawing = $derived(drawings[name]);
</script>

{#if Drawing}
  <div class="mt-2 flex max-w-md gap-2"><Drawing /></div>
{/if}
