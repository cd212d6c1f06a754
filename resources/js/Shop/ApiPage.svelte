<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import Field from '@/ui/Field.svelte';

  /** The API as the shop serves it, for whoever writes a script. */
  interface Schema {
    type?: string | string[];
    $ref?: string;
    properties?: Record<string, Schema>;
    items?: Schema;
    enum?: string[];
    required?: string[];
    description?: string;
  }
  interface Operation {
    parameters?: { name: string; in: string; required?: boolean }[];
    requestBody?: { content: Record<string, { schema: Schema }> };
    responses?: Record<string, { content?: Record<string, { schema: Schema }> }>;
  }
  interface Description {
    info: { description: string };
    paths: Record<string, Record<string, Operation>>;
    components: { schemas: Record<string, Schema> };
  }
  const description = createQuery(() => ({
    queryKey: ['api-description'],
    queryFn: async (): Promise<Description> => {
      const answer = await fetch('/files/api.json', { credentials: 'same-origin' });
      if (!answer.ok) throw new Error('The description cannot be fetched. Try again.');
      return (await answer.json()) as Description;
    },
    staleTime: Infinity,
  }));
  let text = $state('');
  const all = $derived(
    Object.entries(description.data?.paths ?? {}).flatMap(([path, verbs]) =>
      Object.entries(verbs).map(([verb, operation]) => ({ path, verb: verb.toUpperCase(), operation })),
    ),
  );
  const shown = $derived(
    all.filter((one) =>
      text
        .toLowerCase()
        .split(/\s+/)
        .every((word) => `${one.verb} ${one.path}`.toLowerCase().includes(word)),
    ),
  );
  const named = (schema: Schema | undefined): string => {
    if (!schema) return '';
    if (schema.$ref) return schema.$ref.replace('#/components/schemas/', '');
    const kind = [schema.type ?? 'any'].flat().filter((one) => one !== 'null');
    if (kind[0] === 'array') return `list of ${named(schema.items) || 'text'}`;
    return schema.enum ? schema.enum.join(' | ') : kind.join(' | ');
  };
  const body = (operation: Operation): Schema | undefined =>
    operation.requestBody?.content['application/json']?.schema;
  const answer = (operation: Operation): Schema | undefined =>
    operation.responses?.['200']?.content?.['application/json']?.schema;
</script>

<svelte:head><title>For scripts · Odd Bench</title></svelte:head>

<main class="px-4 py-4 md:px-5">
  <h1>What a script can ask and write</h1>
  <p class="mt-1 max-w-3xl text-quiet">
    Under <span class="font-mono">/api/v1</span>. {description.data?.info.description ?? ''} As a file:
    <a class="text-action underline" href="/files/api.json">OpenAPI 3.1</a>.
  </p>
  <div class="mt-3 max-w-sm"><Field label="Find" bind:value={text} /></div>
  {#if description.isError}<p role="alert" class="mt-3 text-out">✕ {description.error.message}</p>{/if}
  <p class="mt-2 text-sm text-quiet">{shown.length} of {all.length}</p>
  <ul class="border-t border-line">
    {#each shown as one (one.verb + one.path)}
      <li class="rule-below">
        <details>
          <summary class="flex min-h-11 cursor-pointer items-center gap-4 hover:bg-wash">
            <span class="w-16 font-mono text-sm font-bold {one.verb === 'GET' ? 'text-quiet' : 'text-action'}"
              >{one.verb}</span
            >
            <span class="font-mono text-sm break-all">{one.path}</span>
            <span class="ml-auto text-sm text-quiet max-md:hidden">{named(answer(one.operation))}</span>
          </summary>
          <div class="grid gap-4 pb-3 pl-20 text-sm md:grid-cols-2">
            <div>
              {#if one.operation.parameters?.length}
                <h2 class="text-sm font-semibold">In the address</h2>
                <ul>
                  {#each one.operation.parameters as parameter (parameter.in + parameter.name)}<li>
                      <span class="font-mono">{parameter.name}</span>
                      <span class="text-quiet"
                        >{parameter.in}{parameter.required ? '' : ', may be left out'}</span
                      >
                    </li>{/each}
                </ul>
              {/if}
              {#if body(one.operation)?.properties}
                {@const schema = body(one.operation)}
                <h2 class="mt-2 text-sm font-semibold">Body</h2>
                <ul>
                  {#each Object.entries(schema?.properties ?? {}) as [field, of] (field)}<li>
                      <span class="font-mono">{field}</span>
                      <span class="text-quiet">{named(of)}</span>{schema?.required?.includes(field)
                        ? ''
                        : ', may be left out'}
                    </li>{/each}
                </ul>
              {/if}
            </div>
            <div>
              {#if answer(one.operation)?.$ref}
                {@const of = description.data?.components.schemas[named(answer(one.operation))]}
                <h2 class="text-sm font-semibold">Answer: {named(answer(one.operation))}</h2>
                <ul>
                  {#each Object.entries(of?.properties ?? {}) as [field, value] (field)}<li>
                      <span class="font-mono">{field}</span>
                      <span class="text-quiet">{named(value)}</span>{#if value.description}<span
                          class="block pl-4 text-quiet">{value.description}</span
                        >{/if}
                    </li>{/each}
                </ul>
              {/if}
            </div>
          </div>
        </details>
      </li>
    {/each}
  </ul>
</main>
