<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Knowledge\KnowledgeFiles;
use App\Shop\Role;
use Illuminate\Support\Facades\Log;
use OddBench\Knowledge\BadKnowledge;
use OddBench\Knowledge\Knowledge;

/** A shop’s own knowledge, and knowledge with mistakes in it. */
final class KnowledgeFilesTest extends BenchTestCase
{
    private string $own;

    protected function setUp(): void
    {
        parent::setUp();
        $this->own = sys_get_temp_dir().'/odd-bench-own-'.getmypid();
        @mkdir("{$this->own}/faults", 0755, true);
    }

    protected function tearDown(): void
    {
        exec('rm -rf '.escapeshellarg($this->own));
        parent::tearDown();
    }

    public function test_a_shops_own_file_overrides_by_code_and_adds(): void
    {
        file_put_contents(
            "{$this->own}/findings.yaml",
            "- { code: strings, name: hairy, group: Extrusion }\n- { code: sings, name: it sings, group: Told, asked_at_book_in: true }\n",
        );
        $knowledge = (new KnowledgeFiles([base_path('knowledge'), $this->own]))->read();

        self::assertSame('hairy', $knowledge->findings['strings']->name);
        self::assertSame('it sings', $knowledge->findings['sings']->name);
        self::assertArrayHasKey('jams-when-warm', $knowledge->findings);
    }

    public function test_a_shops_own_fault_joins_the_shipped_ones_of_its_file(): void
    {
        file_put_contents(
            "{$this->own}/faults/motion.yaml",
            "area: Motion\nfaults:\n  - { code: belt-slack, name: Belt slack, rate: 99, means: It hangs, shows: { belt-loose: A }, mends: [{ do: Tighten it, minutes: 8, touches: [motion], parts: [] }] }\n",
        );
        $knowledge = (new KnowledgeFiles([base_path('knowledge'), $this->own]))->read();

        self::assertSame(99.0, $knowledge->faults['belt-slack']->rate);
        self::assertArrayHasKey('belt-damaged', $knowledge->faults);
    }

    public function test_a_file_that_is_no_yaml_is_named_with_its_line(): void
    {
        file_put_contents("{$this->own}/findings.yaml", "- code: [\n");

        $this->expectException(BadKnowledge::class);
        $this->expectExceptionMessage('findings.yaml: line');
        (new KnowledgeFiles([base_path('knowledge'), $this->own]))->read();
    }

    public function test_knowledge_kept_by_another_release_is_not_even_unserialised(): void
    {
        // classes of an older release: a fault whose settle was a text
        $old = 'O:26:"OddBench\\Knowledge\\Knowledge":1:{s:6:"faults";O:22:"OddBench\\Knowledge\\Fault":1:{s:6:"settle";s:1:"x";}}';
        foreach (["another-release\nprint\n{$old}", $old, ''] as $kept) {
            file_put_contents(storage_path('app/knowledge.ser'), $kept);
            $this->app->forgetInstance(Knowledge::class);

            self::assertArrayHasKey('belt-slack', $this->app->make(Knowledge::class)->faults);
        }
    }

    public function test_the_running_site_keeps_the_last_good_knowledge(): void
    {
        config(['odd-bench.knowledge' => [base_path('knowledge'), $this->own]]);
        $this->forgetKnowledge();
        self::assertArrayHasKey('strings', $this->app->make(Knowledge::class)->findings);

        file_put_contents("{$this->own}/findings.yaml", "- { code: strings, name: hairy, group: Extrusion, leak: 7 }\n");
        $this->forgetKnowledge();
        Log::listen(function (\Illuminate\Log\Events\MessageLogged $logged) use (&$said): void {
            $said = $logged->message;
        });
        self::assertSame('strings between parts', $this->app->make(Knowledge::class)->findings['strings']->name);
        self::assertStringContainsString('findings.yaml: strings: leak', (string) $said);

        file_put_contents("{$this->own}/findings.yaml", "- { code: strings, name: hairy, group: Extrusion }\n");
        touch("{$this->own}/findings.yaml", time() + 5);
        $this->forgetKnowledge();
        self::assertSame('hairy', $this->app->make(Knowledge::class)->findings['strings']->name);
    }

    public function test_the_description_of_the_api_covers_every_address(): void
    {
        $document = json_decode((string) file_get_contents(base_path('docs/api/openapi.json')), true);
        $this->actingAs($this->person(Role::Lead));
        $described = [];
        foreach ($document['paths'] as $path => $verbs) {
            foreach (array_keys($verbs) as $verb) {
                $described[] = strtoupper($verb)." {$path}";
            }
        }
        foreach ($this->app->make('router')->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/v1/') && is_string($route->getAction('uses'))) {
                self::assertContains($route->methods()[0].' /'.substr($route->uri(), 7), $described);
            }
        }
        $job = $this->job();
        $shown = (array) $this->getJson("/api/v1/jobs/{$job->id}")->json();
        self::assertEqualsCanonicalizing($document['components']['schemas']['JobView']['required'], array_keys($shown));
    }

    private function forgetKnowledge(): void
    {
        $this->app->forgetInstance(KnowledgeFiles::class);
        $this->app->forgetInstance(Knowledge::class);
        clearstatcache();
    }
}
