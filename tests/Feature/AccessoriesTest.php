<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Shop\Role;
use Illuminate\Testing\TestResponse;
use OddBench\Knowledge\Knowledge;

/** What came along with a machine goes back with it, or somebody says why it stays. */
final class AccessoriesTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->person(Role::Lead));
    }

    public function test_what_is_offered_goes_by_the_family(): void
    {
        $families = collect((array) $this->getJson('/api/v1/knowledge')->json('families'))->keyBy('code');
        self::assertContains('mains-cord', $families['tern-220']['accessories']);
        self::assertNotContains('feeder-unit', $families['tern-220']['accessories']);
        self::assertContains('feeder-unit', $families['heron-cx']['accessories']);
        foreach ($this->app->make(Knowledge::class)->families as $family) {
            self::assertNotSame([], $families[$family->code]['accessories'], $family->code);
        }
    }

    public function test_a_machine_does_not_leave_without_what_came_with_it(): void
    {
        $machine = $this->machine('tern-220', 'owner');
        $booked = $this->send('POST', '/jobs', [
            'tag' => $machine->tag, 'kind' => 'repair', 'complaint' => 'It clicks', 'began' => 'crept-in',
            'accessories' => [
                ['code' => 'mains-cord', 'came' => 1],
                ['name' => 'Grandmother’s cover', 'came' => 1],
                ['code' => 'spool', 'came' => 3],
            ],
        ])->assertOk();
        self::assertSame(['Mains cord', 'Grandmother’s cover', 'Spool of filament'], $booked->json('accessories.*.name'));
        $job = Job::query()->findOrFail($booked->json('id'));
        $out = $this->unmended($job)->assertStatus(409);
        self::assertSame(
            ['Mains cord in, not out.', 'Grandmother’s cover in, not out.', 'Spool of filament: 3 in, 0 out.'],
            $out->json('errors.*.message'),
        );
        $this->keep(
            $job,
            [
                ['code' => 'mains-cord', 'came' => 1, 'went' => 1],
                ['name' => 'Grandmother’s cover', 'came' => 1, 'went' => 1],
                ['code' => 'spool', 'came' => 3, 'went' => 2, 'staysBecause' => 'used for the proof prints, agreed'],
            ],
        )->assertOk();
        $this->unmended($job)->assertOk();
    }

    public function test_a_line_that_cannot_be_is_refused_at_its_field(): void
    {
        $job = $this->job($this->machine('tern-220', 'owner'));
        $this->assertRefused($this->keep($job, [['code' => 'no-such', 'came' => 1]]), 422, 'accessories.0.name', 'no accessory');
        $this->assertRefused(
            $this->keep($job, [['code' => 'spool', 'came' => 2, 'went' => 3]]),
            422,
            'accessories.0.went',
            '0 to 2 can go out',
        );
        $this->assertRefused(
            $this->keep($job, [['code' => 'spool', 'came' => 1], ['name' => 'spool of filament', 'came' => 1]]),
            422,
            'accessories.1.name',
            'stands there twice',
        );
        $this->assertRefused($this->keep($job, [['name' => ' ', 'came' => 1]]), 422, 'accessories.0.name', 'What is it called');
        $this->actingAs($this->person(Role::ReadOnly));
        $this->keep($job, [])->assertForbidden();
    }

    /**
     * @param  list<array<string, mixed>>  $list
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function keep(Job $job, array $list): TestResponse
    {
        return $this->send('PUT', "/jobs/{$job->id}/accessories", ['accessories' => $list, 'version' => $job->refresh()->version]);
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function unmended(Job $job): TestResponse
    {
        return $this->send('POST', "/jobs/{$job->id}/release", ['to' => 'unmended', 'version' => $job->refresh()->version]);
    }
}
