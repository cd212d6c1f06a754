<script lang="ts">
  import type { Weeks } from '@/api/queries';
  import Select from '@/ui/Select.svelte';
  import { spans } from './farm';

  /** How far is looked ahead, and at which family; kept in the address. */
  interface Props {
    label: string;
    weeks: Weeks;
    family: string;
    families: readonly { code: string; name: string }[];
    onask: (now: Record<string, string>) => unknown;
  }
  let { label, weeks, family, families, onask }: Props = $props();
</script>

<Select
  {label}
  value={String(weeks)}
  choices={spans.map((span) => ({ code: String(span.code), name: span.name }))}
  class="w-28"
  onpick={(value) => onask({ weeks: value })}
/>
<Select
  label="Family"
  value={family}
  none="all"
  choices={families}
  class="w-40"
  onpick={(value) => onask({ family: value })}
/>
