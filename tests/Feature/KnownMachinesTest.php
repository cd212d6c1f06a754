<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Machines\Machine;
use App\Machines\PrinterAt;
use App\Shop\Role;
use Illuminate\Testing\TestResponse;
use OddBench\Input\InputError;

/** Machines that are made known and edited without a job: every change is a line in their history. */
final class KnownMachinesTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->person());
    }

    public function test_a_machine_is_made_known_without_a_job(): void
    {
        $tag = (string) $this->send(
            'POST',
            '/machines',
            ['family' => 'tern-220', 'serial' => 'S1', 'heldAs' => 'farm', 'hours' => 340, 'notes' => 'by the window'],
        )
            ->assertOk()->json('tag');
        $passport = $this->getJson("/api/v1/machines/{$tag}")->assertOk();
        $passport->assertJsonPath('machine.place', 'service')->assertJsonPath('machine.hours', 340)->assertJsonPath('machine.openJob', null)
            ->assertJsonPath('timeline.0.text', 'Made known, in service')
            ->assertJsonPath('timeline.0.job', null)
            ->assertJsonPath('notes', 'by the window');
        $this->assertRefused(
            $this->send('POST', '/machines', ['family' => 'tern-220', 'serial' => 'S1', 'heldAs' => 'farm']),
            422,
            'serial',
            $tag,
        );
        $this->assertRefused(
            $this->send('POST', '/machines', ['family' => 'tern-220', 'heldAs' => 'owner']),
            422,
            'ownerName',
            'Whose machine',
        );
    }

    public function test_each_edit_is_a_line_and_nobody_writes_over_anothers(): void
    {
        $machine = $this->machine();
        $seen = (string) $this->getJson("/api/v1/machines/{$machine->tag}/known")->json('seen');
        $key = $machine->page_key;
        $this->travel(1)->minutes();
        $this->edit(
            $machine,
            [
                'serial' => 'NEW-1',
                'heldAs' => 'owner',
                'ownerName' => 'Nora Quist',
                'place' => 'owner',
                'printerHost' => '192.168.1.40',
                'printerPort' => 8080,
                'notes' => 'new plate',
                'seen' => $seen,
            ],
        )->assertOk();
        self::assertNotSame($key, $machine->refresh()->page_key, 'whoever had its label before does not see its page');
        $lines = implode("\n", (array) $this->getJson("/api/v1/machines/{$machine->tag}")->json('timeline.*.text'));
        foreach ([
            'now NEW-1',
            'Whose: own farm, now owner',
            'In service, now with its owner',
            'reached at 192.168.1.40, port 8080',
            'Notes: new plate',
        ] as $line) {
            self::assertStringContainsString($line, $lines);
        }
        self::assertStringNotContainsString('Quist', $lines, 'who an owner is stands in one place');
        $this->edit($machine, ['notes' => 'over it', 'seen' => $seen])->assertStatus(409);
        self::assertSame('new plate', $machine->refresh()->notes);
    }

    public function test_a_machine_on_the_bench_or_with_a_red_tag_is_not_said_to_be_elsewhere(): void
    {
        $machine = $this->machine();
        $job = $this->job($machine);
        $this->assertRefused($this->edit($machine, ['place' => 'service']), 409, 'place', "as job {$job->id}");
        $this->actingAs($this->person(Role::Lead));
        $this->send('POST', "/jobs/{$job->id}/red-tag", ['reason' => 'Plug brown'])->assertOk();
        $this->send(
            'POST',
            "/jobs/{$job->id}/release",
            ['to' => 'unmended', 'danger' => 'The plug can burn, do not use it.', 'version' => $job->refresh()->version],
        )->assertStatus(409);
        $this->send('POST', "/jobs/{$job->id}/release", ['to' => 'donor', 'version' => $job->refresh()->version])->assertOk();
        $this->assertRefused($this->edit($machine, ['place' => 'service']), 409, 'place', 'red tag');
        $this->assertRefused($this->edit($machine, ['place' => 'bench']), 422, 'place', 'booked in');
        $this->edit($machine, ['place' => 'scrap'])->assertOk();
    }

    public function test_a_printer_is_one_machines_and_on_the_shops_own_network(): void
    {
        [$one, $two] = [$this->machine(), $this->machine()];
        $at = static fn (?string $host, ?int $port): array => ['printerHost' => $host, 'printerPort' => $port];
        config(['odd-bench.real' => true]);
        $this->assertRefused($this->edit($one, $at('127.0.0.1', 8431)), 422, 'printerHost', 'the machine the shop runs on');
        $this->assertRefused($this->edit($one, $at('8.8.8.8', 80)), 422, 'printerHost', 'own network');
        $this->assertRefused($this->edit($one, $at('192.168.1.40', null)), 422, 'printerPort', 'both or none');
        $this->edit($one, $at('192.168.1.40', 8080))->assertOk();
        $this->assertRefused($this->edit($two, $at('192.168.1.40', 8080)), 422, 'printerPort', $one->tag);
        $this->edit($two, $at('192.168.1.41', 8080))->assertOk();
        $this->edit($one, $at(null, null))->assertOk();
    }

    public function test_a_bridge_that_goes_from_machine_to_machine_is_said_to_have_moved(): void
    {
        [$one, $two] = [$this->machine(), $this->machine()];
        $this->edit($one, ['printerHost' => '192.168.1.40', 'printerPort' => 8080])->assertOk();
        $by = $this->person();
        $claim = fn (bool $moved) => $this->app->make(PrinterAt::class)->claim($two, '192.168.1.40', 8080, $moved, $by);
        try {
            $claim(false);
            self::fail('it is another machine’s');
        } catch (InputError $e) {
            self::assertSame('moved', $e->field);
            self::assertStringContainsString($one->tag, $e->getMessage());
        }
        $claim(true);
        self::assertNull($one->refresh()->printer_host);
        self::assertStringContainsString($two->tag, (string) $this->getJson("/api/v1/machines/{$one->tag}")->json('timeline.0.text'));
    }

    public function test_the_code_of_a_label_is_renewed(): void
    {
        $machine = $this->machine();
        $before = $machine->page_key;
        $this->get("/o/{$before}")->assertOk();
        $this->send('POST', "/machines/{$machine->tag}/page-key")->assertOk();
        $this->get("/o/{$before}")->assertNotFound();
        $this->get("/o/{$machine->refresh()->page_key}")->assertOk();
        $this->actingAs($this->person(Role::ReadOnly));
        $this->send('POST', "/machines/{$machine->tag}/page-key")->assertForbidden();
    }

    /**
     * @param  array<string, mixed>  $to
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function edit(Machine $machine, array $to): TestResponse
    {
        $known = (array) $this->getJson("/api/v1/machines/{$machine->tag}/known")->assertOk()->json();

        return $this->send('PUT', "/machines/{$machine->tag}/known", [
            ...array_intersect_key(
                $known,
                array_flip(['family', 'serial', 'heldAs', 'ownerId', 'place', 'printerHost', 'printerPort', 'notes', 'seen']),
            ),
            ...$to,
        ]);
    }
}
