<script lang="ts">
  import { QueryClient, QueryClientProvider } from '@tanstack/svelte-query';
  import { Refusal } from '@/api/client';
  import { Room } from '@/Shop';

  const client = new QueryClient({
    defaultOptions: {
      queries: {
        staleTime: 2000,
        // what was looked at in this hour is on the screen at once, and fetched again
        gcTime: 3_600_000,
        retry: (count, error) => !(error instanceof Refusal) && count < 3,
        refetchOnWindowFocus: true,
      },
    },
  });
</script>

<QueryClientProvider {client}>
  <Room />
</QueryClientProvider>
