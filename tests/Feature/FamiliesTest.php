<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Knowledge\KnowledgeFiles;
use App\Shop\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use OddBench\Knowledge\Knowledge;

/** Families a shop writes itself, and machines of families nobody has written down yet. */
final class FamiliesTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->person(Role::Lead));
    }

    public function test_a_family_is_copied_changed_and_machines_of_it_come_in(): void
    {
        $content = $this->content('tern-220');
        $made = $this->add([...$content, 'name' => 'Plover 180', 'letters' => 'HX'])->assertOk();
        self::assertSame('plover-180', $made->json('code'));
        self::assertTrue($made->json('own'));
        self::assertFalse($made->json('shipped'));
        $known = collect((array) $this->getJson('/api/v1/knowledge')->json('families'))->keyBy('code');
        self::assertSame('Plover 180', $known['plover-180']['name']);

        $tag = (string) $this->send('POST', '/machines', ['family' => 'plover-180', 'heldAs' => 'farm'])->assertOk()->json('tag');
        self::assertStringStartsWith('HX-', $tag);
        $this->assertRefused($this->send('DELETE', '/families/plover-180'), 409, 'family', 'machines of this family');
    }

    public function test_what_is_wrong_is_said_at_its_field_and_nothing_is_kept(): void
    {
        $content = $this->content('tern-220');
        $content['traits']['motion'] = 'flying';
        $content['positions'][4]['part'] = 'no-such-part';
        $wrong = $this->send('PUT', '/families/tern-220', ['content' => $content]);
        $this->assertRefused($wrong, 422, 'traits.motion', 'must be one of');
        $this->assertRefused($this->add([...$this->content('tern-220'), 'name' => 'Plover 180']), 422, 'letters', 'are taken by');
        $content = $this->content('tern-220');
        $content['positions'][4]['part'] = 'no-such-part';
        $this->assertRefused(
            $this->send('PUT', '/families/tern-220', ['content' => $content]),
            422,
            'positions.nozzle.part',
            'no-such-part',
        );
        self::assertSame(0, DB::table('families')->count());
    }

    public function test_a_shipped_one_is_written_over_and_comes_back(): void
    {
        $content = $this->content('tern-220');
        $this->send(
            'PUT',
            '/families/tern-220',
            ['content' => [...$content, 'name' => 'Tern 220, ours', 'positions' => array_slice($content['positions'], 0, 5)]],
        )->assertOk();
        $this->app->forgetInstance(Knowledge::class);
        $knows = fn () => collect((array) $this->getJson('/api/v1/knowledge')->json('families'))->keyBy('code')['tern-220'];
        self::assertSame(['Tern 220, ours', 5], [$knows()['name'], count($knows()['positions'])]);
        $this->send('DELETE', '/families/tern-220')->assertOk();
        $this->app->forgetInstance(Knowledge::class);
        self::assertSame('Tern 220', $knows()['name']);
    }

    public function test_what_goes_out_as_a_file_comes_in_again(): void
    {
        $this->add([...$this->content('heron-cx'), 'name' => 'Plover 180', 'letters' => 'HX'])->assertOk();
        $yaml = (string) $this->get('/files/families/plover-180.yaml')->assertOk()->getContent();
        $before = $this->content('plover-180');
        $this->send('DELETE', '/families/plover-180')->assertOk();
        $this->sendFile('/families/import', $yaml)->assertOk()->assertJsonPath('code', 'plover-180');
        self::assertEquals($before, $this->content('plover-180'));
        $this->assertRefused($this->sendFile('/families/import', "name: nobody\n"), 422, 'file', 'begins with its code');
        $this->assertRefused($this->sendFile('/families/import', 'a: [b'), 422, 'file', 'no YAML');
        $this->actingAs($this->person());
        $this->sendFile('/families/import', $yaml)->assertForbidden();
    }

    public function test_a_machine_of_a_family_nobody_knows_is_booked_in_at_once_and_given_its_family_later(): void
    {
        $booked = $this->send('POST', '/jobs', [
            'family' => 'unknown',
            'unknownName' => 'Grey one with a glass door',
            'unknownTraits' => ['motion' => 'corexy', 'bed_supply' => 'mains'],
            'heldAs' => 'farm', 'kind' => 'repair', 'complaint' => 'It smells', 'began' => 'crept-in',
        ])->assertOk();
        $job = Job::query()->with('machine')->findOrFail($booked->json('id'));
        $tag = $job->machine->tag;
        self::assertSame('Grey one with a glass door', $booked->json('machine.familyName'));
        // what depends on its traits goes by those that were seen
        $knowledge = $this->app->make(Knowledge::class);
        self::assertSame(['motion' => 'corexy', 'bed_supply' => 'mains'], $knowledge->families[$job->machine->family]->traits);
        $this->atProve($job, 'gear-worn');
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/proof-run", ['host' => '127.0.0.1', 'port' => 8641]),
            409,
            'family',
            'Nothing moves it',
        );
        $this->get("/files/jobs/{$job->id}/loom-slab.gcode")->assertNotFound();
        $known = (array) $this->getJson("/api/v1/machines/{$tag}/known")->json();
        $this->assertRefused($this->send('PUT', "/machines/{$tag}/known", [...$known, 'family' => 'no-such']), 422, 'family', 'no-such');
        $this->send('PUT', "/machines/{$tag}/known", [...$known, 'family' => 'heron-cx'])->assertOk()->assertJsonPath('tag', $tag);
        self::assertSame('Heron CX', $this->getJson("/api/v1/machines/{$tag}")->json('machine.familyName'));
        $known = (array) $this->getJson("/api/v1/machines/{$tag}/known")->json();
        $this->assertRefused(
            $this->send('PUT', "/machines/{$tag}/known", [...$known, 'family' => 'tern-220']),
            422,
            'family',
            'is a Heron CX',
        );
    }

    public function test_two_of_unknown_families_are_two(): void
    {
        $book = fn (): TestResponse => $this->send('POST', '/jobs', [
            'family' => 'unknown', 'heldAs' => 'farm', 'kind' => 'repair', 'complaint' => 'It smells', 'began' => 'crept-in',
        ])->assertOk();
        self::assertNotSame($book()->json('machine.family'), $book()->json('machine.family'));
        $this->send('POST', '/jobs', [
            'family' => 'unknown',
            'unknownTraits' => ['motion' => 'flying'],
            'heldAs' => 'farm',
            'kind' => 'repair',
            'complaint' => 'x',
            'began' => 'crept-in',
        ])->assertStatus(422);
    }

    public function test_a_family_that_a_newer_release_does_not_take_is_left_out_and_the_shop_works(): void
    {
        $this->add([...$this->content('tern-220'), 'name' => 'Plover 180', 'letters' => 'HX'])->assertOk();
        DB::table('families')->update(['yaml' => "code: plover-180\nname: Plover\nletters: HX\n", 'updated_at' => now()->addSecond()]);
        $this->app->forgetInstance(Knowledge::class);
        $families = $this->app->make(Knowledge::class)->families;
        self::assertArrayHasKey('tern-220', $families);
        self::assertArrayNotHasKey('plover-180', $families);
        self::assertTrue($this->app->make(KnowledgeFiles::class)->ships('tern-220'));
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function sendFile(string $path, string $bytes): TestResponse
    {
        $response = $this->call('POST', "/api/v1{$path}", [], [], [], [
            'CONTENT_TYPE' => 'application/octet-stream',
            'HTTP_ACCEPT' => 'application/json',
            'HTTP_IDEMPOTENCY_KEY' => (string) Str::uuid(),
        ], $bytes);
        $this->app->forgetInstance(Knowledge::class);

        return $response;
    }

    /** @return array<mixed> */
    private function content(string $family): array
    {
        $this->app->forgetInstance(Knowledge::class);

        return array_diff_key((array) $this->getJson("/api/v1/families/{$family}")->assertOk()->json('content'), ['code' => 0]);
    }

    /**
     * @param  array<mixed>  $content
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function add(array $content): TestResponse
    {
        $response = $this->send('POST', '/families', ['content' => $content]);
        $this->app->forgetInstance(Knowledge::class);

        return $response;
    }
}
