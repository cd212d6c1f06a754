<script lang="ts">
  import { p } from '@/router';
</script>

<main class="p-8">
  <h1>There is nothing at this address</h1>
  <p class="mt-2">
    <a class="font-semibold text-action underline" href={p('/')}>Go to the bench</a>, or scan a tag.
  </p>
</main>
