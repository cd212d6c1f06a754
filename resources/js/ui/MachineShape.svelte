<script lang="ts">
  import { spots, type Traits } from './machinePlaces';

  /** A machine drawn from its family's traits: what moves, what it runs on, where filament comes from. */
  let { traits }: { traits: Traits } = $props();

  const where = $derived(spots(traits));
  const at = $derived((code: string) => where[code] ?? { x: 0, y: 0 });
  const box = $derived(traits.motion === 'corexy' || traits.motion === 'gantry');
  const delta = $derived(traits.motion === 'delta');
  const arm = $derived(traits.motion === 'cantilever');
  const bedY = $derived(at('plate').y + 6);
  const head = $derived(at('head'));
  const rail = $derived(traits.guides === 'rods' ? 2 : traits.guides === 'rails' ? 3.5 : 6);
</script>

<g fill="none" stroke="var(--color-ink)" stroke-width="1.6" stroke-linejoin="round" stroke-linecap="round">
  {#if delta}
    <path d="M76 276 V36 M150 276 V24 M226 276 V36" stroke-width="6" stroke="var(--color-edge)" />
    <path d="M64 278 H238 V262 H64 Z" fill="var(--color-steel)" />
    <path d="M68 40 L150 24 L234 40 M68 40 H234" stroke-width="3" />
    <ellipse cx="150" cy={bedY + 6} rx="62" ry="15" fill="var(--color-paper)" />
    <path
      d="M76 120 h8 v16 h-16 v-16 Z M226 108 h8 v16 h-16 v-16 Z M150 92 h8 v16 h-16 v-16 Z"
      fill="var(--color-steel)"
    />
    {#each [[76, 130], [226, 118], [150, 102]] as [x, y] (x)}
      <path
        d="M{(x ?? 0) - 4} {y} L{head.x - 8} {head.y - 14} M{(x ?? 0) + 4} {y} L{head.x + 8} {head.y - 14}"
        stroke="var(--color-quiet)"
      />
    {/each}
  {:else if box}
    <path d="M56 278 V52 H244 V278 Z" stroke-width="5" stroke="var(--color-edge)" />
    {#if traits.chamber !== 'open'}<path
        d="M60 56 H240 V240 H60 Z"
        fill="var(--color-wash)"
        opacity="0.5"
        stroke="none"
      />{/if}
    <path d="M56 246 H244" stroke-width="3" />
    <path d="M66 88 H234" stroke-width={rail} stroke="var(--color-edge)" />
    <path d="M66 80 H234 M66 76 H234" stroke-width="1.1" stroke-dasharray="3 2" />
    <circle cx="72" cy="78" r="6" fill="var(--color-white)" /><circle
      cx="228"
      cy="78"
      r="6"
      fill="var(--color-white)"
    />
    {#if traits.z_drive === 'screw'}
      <path d="M72 {bedY} V244 M226 {bedY} V244" stroke-width="4" stroke-dasharray="2 2" />
    {:else}
      <path d="M72 {bedY} V244 M226 {bedY} V244" stroke-width="2" />
    {/if}
    <path d="M84 {bedY} H214 V{bedY + 8} H84 Z" fill="var(--color-paper)" />
  {:else}
    <path d="M52 278 H252 V250 H52 Z" fill="var(--color-steel)" />
    <path d="M72 250 V64" stroke-width="7" stroke="var(--color-edge)" />
    {#if !arm}
      <path d="M230 250 V64" stroke-width="7" stroke="var(--color-edge)" /><path
        d="M68 62 H234"
        stroke-width="7"
        stroke="var(--color-edge)"
      />
    {/if}
    {#if traits.z_drive === 'screw'}
      <path d="M84 250 V78" stroke-width="3" stroke-dasharray="2 2" />
      {#if !arm}<path d="M218 250 V78" stroke-width="3" stroke-dasharray="2 2" />{/if}
    {/if}
    <path d="M62 118 H{arm ? 214 : 240}" stroke-width={rail + 2} stroke="var(--color-edge)" />
    <path d="M66 112 H{arm ? 210 : 236}" stroke-width="1.1" stroke-dasharray="3 2" />
    <circle cx={arm ? 212 : 234} cy="112" r="5" fill="var(--color-white)" />
    <path d="M120 250 V226 M180 250 V226" stroke-width="3" stroke="var(--color-edge)" />
    <path d="M76 {bedY} L96 {bedY - 14} H222 L208 {bedY} Z" fill="var(--color-paper)" />
    <path d="M76 {bedY} H208 V{bedY + 6} H76 Z" fill="var(--color-steel)" />
    {#if traits.bed_mount === 'springs'}
      {#each [90, 194] as x (x)}<path
          d="M{x} {bedY + 6} l5 3 l-10 3 l10 3 l-10 3 l5 3"
          stroke-width="1.2"
        />{/each}
    {/if}
  {/if}

  {#if traits.guides === 'wheels'}
    {#each [head.x - 14, head.x + 14] as x (x)}<circle
        cx={x}
        cy={at('guides').y + 8}
        r="5"
        fill="var(--color-white)"
      />{/each}
  {/if}

  <path d="M{at('print').x - 18} {bedY - 2} v-14 h30 v14 Z" fill="var(--color-wash)" stroke-width="1.2" />

  <path d="M{head.x - 14} {head.y - 32} h28 v26 h-28 Z" fill="var(--color-steel)" />
  <circle cx={head.x + 7} cy={head.y - 22} r="6" fill="var(--color-white)" stroke-width="1.2" />
  <path
    d="M{head.x - 8} {head.y - 6} h16 v8 l-5 7 h-6 l-5 -7 Z"
    fill="var(--color-waiting)"
    fill-opacity="0.35"
  />
  {#if traits.levelling !== 'manual'}<path d="M{head.x - 20} {head.y - 16} v18" stroke-width="3" />{/if}

  {#if traits.filament_path === 'direct'}
    <circle cx={at('drive').x + 10} cy={at('drive').y - 12} r="6" fill="var(--color-white)" />
    <path
      d="M{at('drive').x + 10} {at('drive').y - 18} Q{at('spool').x} {at('spool').y + 40} {at('spool').x} {at(
        'spool',
      ).y + 16}"
      stroke="var(--color-waiting)"
    />
  {:else}
    <circle cx={at('drive').x} cy={at('drive').y} r="8" fill="var(--color-white)" />
    <path
      d="M{at('drive').x} {at('drive').y - 8} C{at('drive').x} {at('tube').y - 24} {head.x} {at('tube').y -
        24} {head.x} {head.y - 32}"
      stroke="var(--color-action)"
      stroke-width="2.4"
    />
    <path
      d="M{at('drive').x} {at('drive').y - 8} L{at('spool').x - 6} {at('spool').y + 14}"
      stroke="var(--color-waiting)"
      stroke-width="1.1"
    />
  {/if}

  {#if traits.material_supply === 'sealed-canister'}
    <path d="M{at('spool').x - 20} {at('spool').y - 18} h40 v38 h-40 Z" fill="var(--color-paper)" /><circle
      cx={at('spool').x}
      cy={at('spool').y}
      r="9"
    />
  {:else if traits.feeder === 'multi'}
    <path d="M92 8 H208 V46 H92 Z" fill="var(--color-paper)" />
    {#each [108, 136, 164, 192] as x (x)}<circle cx={x} cy="27" r="11" fill="var(--color-white)" /><circle
        cx={x}
        cy="27"
        r="3"
      />{/each}
  {:else}
    <circle cx={at('spool').x} cy={at('spool').y} r="19" fill="var(--color-paper)" /><circle
      cx={at('spool').x}
      cy={at('spool').y}
      r="6"
      fill="var(--color-white)"
    />
  {/if}

  <path
    d="M{at('electrics').x - 28} {at('electrics').y - 9} h56 v18 h-56 Z"
    fill="var(--color-white)"
    stroke-width="1.2"
  />
  <path d="M{at('electrics').x - 22} {at('electrics').y} h8 m4 0 h8 m4 0 h8 m4 0 h8" stroke-width="1.2" />
  <path
    d="M{at('screen').x - 16} {at('screen').y - 9} h32 v18 h-32 Z"
    fill="var(--color-action)"
    fill-opacity="0.25"
    stroke-width="1.2"
  />
</g>
