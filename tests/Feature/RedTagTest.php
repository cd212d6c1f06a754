<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Shop\Role;

final class RedTagTest extends BenchTestCase
{
    public function test_a_yes_puts_the_tag_on_and_blocks_prove_and_send_out_on_the_server(): void
    {
        $this->actingAs($this->person());
        $job = $this->tagged();
        $this->mend($job);

        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'proof', 'version' => $job->refresh()->version]),
            409,
            'to',
            'red tag',
        );
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/release", ['to' => 'service', 'version' => $job->refresh()->version]),
            409,
            'to',
            'red tag',
        );
        self::assertTrue($this->getJson('/api/v1/bench')->json('redTags.0.tag') === $job->machine->tag);
    }

    public function test_it_comes_off_with_cause_measurement_and_a_leads_second_signature(): void
    {
        $technician = $this->person();
        $this->actingAs($technician);
        $job = $this->tagged();
        $this->mend($job);

        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/red-tag/off", ['cause' => 'plug renewed', 'measurement' => 'looks fine']),
            422,
            'measurement',
            'figure',
        );
        $this->send('POST', "/jobs/{$job->id}/red-tag/off", ['cause' => 'plug renewed', 'measurement' => '0.1 Ω at the plug'])->assertOk();
        $this->send('POST', "/jobs/{$job->id}/red-tag/countersignature")->assertForbidden();

        $lead = $this->person(Role::Lead);
        $this->actingAs($lead);
        $this->send('POST', "/jobs/{$job->id}/red-tag/countersignature")->assertOk()->assertJsonPath('redTag', null);
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'proof', 'version' => $job->refresh()->version])->assertOk();
    }

    public function test_a_lead_cannot_sign_second_for_their_own_first_signature(): void
    {
        $this->actingAs($this->person(Role::Lead));
        $job = $this->tagged();
        $this->send('POST', "/jobs/{$job->id}/red-tag/off", ['cause' => 'plug renewed', 'measurement' => '0.1 Ω'])->assertOk();

        $this->assertRefused($this->send('POST', "/jobs/{$job->id}/red-tag/countersignature"), 422, 'signature', 'another person');
        self::assertNotNull($this->getJson("/api/v1/jobs/{$job->id}")->json('redTag'));
    }

    public function test_cold_checks_stay_open_and_powered_ones_are_refused_but_for_the_one_signed_test(): void
    {
        $technician = $this->person();
        $this->actingAs($technician);
        $job = $this->tagged();
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['no-earth-path' => false], 'check' => 'earth-path'])->assertOk();
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['supply-sags' => false], 'check' => 'supply-at-load']),
            409,
            'check',
            'red tag',
        );

        $this->send(
            'POST',
            "/jobs/{$job->id}/red-tag/supervised-test",
            ['check' => 'frame-voltage', 'besideTheSwitch' => 'Imre'],
        )->assertForbidden();
        $this->actingAs($this->person(Role::Lead));
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/red-tag/supervised-test", ['check' => 'earth-path', 'besideTheSwitch' => 'Imre']),
            422,
            'check',
            'needs no power',
        );
        $this->send(
            'POST',
            "/jobs/{$job->id}/red-tag/supervised-test",
            ['check' => 'frame-voltage', 'besideTheSwitch' => 'Imre'],
        )->assertOk();

        $this->actingAs($technician);
        $done = $this->send(
            'POST',
            "/jobs/{$job->id}/findings",
            ['findings' => ['volts-on-frame' => false], 'check' => 'frame-voltage'],
        )->assertOk();
        self::assertStringContainsString('Voltage on the frame', (string) $done->json('redTag.testResult'));
        // it was for once: also a second time the same test is refused
        $this->send(
            'DELETE',
            "/jobs/{$job->id}/findings/".collect((array) $done->json('findings'))->firstWhere('code', 'volts-on-frame')['id'],
        )->assertOk();
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['volts-on-frame' => false], 'check' => 'frame-voltage']),
            409,
            'check',
            'red tag',
        );
    }

    public function test_a_powered_test_is_offered_last_and_wants_a_leads_signature(): void
    {
        $this->actingAs($this->person());
        $job = $this->tagged();
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['shock-felt' => true]])->assertOk();
        $steps = fn (): array => array_column((array) $this->getJson("/api/v1/jobs/{$job->id}/diagnosis")->json('next'), null, 'code');

        self::assertNotContains(array_values($steps())[0]['state'], ['powered', 'hot']);
        $this->actingAs($this->person(Role::Lead));
        $this->send(
            'POST',
            "/jobs/{$job->id}/red-tag/supervised-test",
            ['check' => 'frame-voltage', 'besideTheSwitch' => 'Imre'],
        )->assertOk();
        foreach ($steps() as $code => $step) {
            self::assertSame(
                $code !== 'frame-voltage' && in_array($step['state'], ['powered', 'hot'], true),
                $step['wantsSignature'],
                (string) $code,
            );
        }
        self::assertArrayHasKey('frame-voltage', $steps());
    }

    public function test_a_tagged_machine_may_go_to_the_donor_shelf_or_to_scrap(): void
    {
        $this->actingAs($this->person());
        foreach (['donor', 'scrap'] as $to) {
            $job = $this->tagged();
            $this->send('POST', "/jobs/{$job->id}/release", ['to' => $to, 'version' => $job->refresh()->version])
                ->assertOk()
                ->assertJsonPath('machine.place', $to);
        }
    }

    public function test_it_goes_back_unmended_only_with_the_danger_in_writing_and_the_tag_on(): void
    {
        $this->actingAs($this->person());
        $job = $this->tagged('owner');
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/release", ['to' => 'unmended', 'version' => $job->refresh()->version]),
            409,
            'to',
            'in writing',
        );

        $this->actingAs($this->person(Role::Lead));
        $sent = $this->send(
            'POST',
            "/jobs/{$job->id}/release",
            ['to' => 'unmended', 'danger' => 'The bed plug burns: do not switch it on.', 'version' => $job->refresh()->version],
        )->assertOk();
        self::assertNotNull($sent->json('redTag'));
        self::assertTrue($this->getJson("/api/v1/machines/{$job->machine->tag}")->json('machine.redTag'));
    }

    public function test_a_sign_of_danger_found_later_puts_the_tag_on_as_well(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->safe($job);

        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['connector-brown' => true], 'check' => 'connectors-look'])
            ->assertOk()->assertJsonPath('redTag.reason', 'browned or melted connector');
    }

    public function test_a_new_danger_voids_a_first_signature_given_for_the_old_one(): void
    {
        $this->actingAs($this->person());
        $job = $this->tagged();
        $this->send('POST', "/jobs/{$job->id}/red-tag/off", ['cause' => 'plug renewed', 'measurement' => '0.1 Ω'])->assertOk();

        $this->send('POST', "/jobs/{$job->id}/red-tag", ['reason' => 'sparks at the switch'])
            ->assertOk()
            ->assertJsonPath('redTag.offAskedBy', null);
    }

    private function tagged(string $heldAs = 'farm'): Job
    {
        $job = $this->job($this->machine('tern-220', $heldAs));
        $this->safe($job);
        $this->send('POST', "/jobs/{$job->id}/safety-answers", ['answers' => ['browned' => true]])
            ->assertOk()
            ->assertJsonPath('redTag.reason', 'browned or melted connector');

        return $job;
    }

    private function mend(Job $job): void
    {
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'diagnosis', 'version' => $job->refresh()->version])->assertOk();
        $this->send(
            'POST',
            "/jobs/{$job->id}/faults",
            ['faults' => ['connector-burning'], 'version' => $job->refresh()->version],
        )->assertOk();
        $this->send(
            'POST',
            "/jobs/{$job->id}/mends",
            ['fault' => 'connector-burning', 'done' => 'Both halves renewed, crimped'],
        )->assertOk();
    }
}
