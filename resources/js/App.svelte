<script lang="ts">
  import { QueryClient, QueryClientProvider } from '@tanstack/svelte-query';
  import { Refusal } from '@/api/client';
  import { Room } from '@/Shop';

  const client = new QueryClient({
    defaultOptions: {
      queries: {
        staleTime: 2000,
        retry: (count, error) => !(error instanceof Refusal) && count < 3,
        refetchOnWindowFocus: true,
      },
    },
  });
</script>

<QueryClientProvider {client}>
  <Room />
</QueryClientProvider>
