<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Machines\Counter;
use App\Machines\Machine;
use App\Machines\Owners\Owner;
use App\Shop\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** The machines one has, by the table: what becomes of each row first, then those that are new. */
final class MachineTableTest extends BenchTestCase
{
    public function test_eighty_rows_of_which_four_are_no_new_machine(): void
    {
        $this->actingAs($this->person(Role::Counter));
        $rows = ['Family;Serial;Held as;Owner;Contact;Hours'];
        for ($i = 1; $i <= 80; $i++) {
            $rows[] = match ($i) {
                11, 12 => 'tern-220;S00'.($i - 8).';farm;;;100',
                30 => 'Nobody 300;S030;farm;;;100',
                50 => 'Heron CX;S050;farm;;;many',
                default => sprintf(
                    '%s;S%03d;%s;%s',
                    $i % 2 ? 'tern-220' : 'Tern 220',
                    $i,
                    $i > 70 ? "owner;Owner {$i};0{$i}" : 'farm;;',
                    $i * 10 .',5',
                ),
            };
        }
        $table = implode("\r\n", $rows);

        $tried = $this->bring($table)->assertOk()->assertJsonPath('applied', false);
        self::assertEquals(['new' => 76, 'known' => 0, 'twice' => 2, 'wrong' => 2], $tried->json('counts'));
        self::assertSame(
            [12, 13, 31, 51],
            array_column(array_slice((array) $tried->json('rows'), 0, 4), 'line'),
            'what is not new stands first',
        );
        self::assertSame('Its serial stands in line 4 already.', $tried->json('rows.0.message'));
        self::assertStringContainsString('There is no family “Nobody 300”', (string) $tried->json('rows.2.message'));
        self::assertStringContainsString('hours', (string) $tried->json('rows.3.message'));
        self::assertSame(
            0,
            Machine::query()->count() + Counter::query()->count() + Owner::query()->count(),
            'nothing is taken in by looking',
        );

        $taken = $this->bring($table, true)->assertOk()->assertJsonPath('applied', true);
        self::assertEquals(['new' => 76, 'known' => 0, 'twice' => 2, 'wrong' => 2], $taken->json('counts'));
        self::assertSame(76, Machine::query()->distinct()->count('tag'));
        $last = Machine::query()->with('owner')->where('serial', 'S080')->firstOrFail();
        self::assertSame(
            ['owner', 'Owner 80', '080', 800.5],
            [$last->place, $last->owner?->name, $last->owner?->contact, $last->hoursRun()],
        );
        self::assertSame(76, Counter::query()->where('source', 'table')->count());
        self::assertSame('service', Machine::query()->where('serial', 'S001')->value('place'));

        $again = $this->bring($table, true)->assertOk();
        self::assertEquals(['new' => 0, 'known' => 78, 'twice' => 0, 'wrong' => 2], $again->json('counts'));
        self::assertSame(76, Machine::query()->count());
        self::assertStringContainsString((string) Machine::query()->where('serial', 'S001')->value('tag'), (string) $again->getContent());
    }

    public function test_what_goes_out_can_come_in_again(): void
    {
        $this->actingAs($this->person(Role::Counter));
        $this->bring(
            "family,serial,held_as,owner,contact,hours\ntern-220,=A1,owner,Ines; =2+3 Halloran,ines@example.org,310\n",
            true,
        )->assertOk();
        $out = $this->get('/files/machines.csv')->assertOk()->streamedContent();
        self::assertStringContainsString('no-store', (string) $this->get('/files/machines.csv')->headers->get('Cache-Control'));
        self::assertStringContainsString("'=A1", $out, 'no formula for a spreadsheet');
        self::assertStringContainsString("Ines; '=2+3", $out, 'nor for one that begins a cell behind a semicolon');
        $this->bring($out)->assertJsonPath('counts.known', 1)->assertJsonPath('counts.new', 0);
        $this->bring(str_replace('tern-220,', 'wren-mini,', $out), true)->assertOk();
        self::assertSame(['Ines; =2+3 Halloran'], Owner::query()->distinct()->pluck('name')->all(), 'it comes in as it was');

        $this->actingAs($this->person(Role::ReadOnly));
        $seen = $this->get('/files/machines.csv')->assertOk()->streamedContent();
        self::assertStringNotContainsString('ines@example.org', $seen);
        self::assertStringNotContainsString('Halloran', $seen);
    }

    public function test_a_file_that_is_no_such_table_is_refused_by_name(): void
    {
        $this->actingAs($this->person());
        foreach ([
            ['', 'empty'],
            ["serial\nA1\n", 'lacks the column family'],
            ["family,seriel\ntern-220,A\n", 'Is it “serial”?'],
            ["family,family\ntern-220,A\n", 'stands twice'],
            ["PK\x03\x04\x14\0\x06\0", 'a workbook'],
        ] as [$bytes, $word]) {
            $this->assertRefused($this->bring($bytes), 422, 'file', $word);
        }
        foreach ([
            ['owner', '', 'Whose machine'],
            ['resale', 'Ines Halloran', 'has no owner'],
            ['rented', '', 'There is no way to hold a machine'],
        ] as [$heldAs, $owner, $word]) {
            self::assertStringContainsString(
                $word,
                (string) $this->bring("family,held_as,owner\ntern-220,{$heldAs},{$owner}\n")->json('rows.0.message'),
            );
        }
    }

    public function test_who_only_looks_brings_nothing_in_and_the_questions_do_not_grow_with_the_rows(): void
    {
        $this->actingAs($this->person());
        $count = function (int $rows): int {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->bring("family,serial\n".implode(
                '',
                array_map(static fn (int $i): string => "tern-220,Q{$i}\n", range(1, $rows)),
            ))->assertOk();
            DB::disableQueryLog();

            return count(DB::getQueryLog());
        };
        $count(1);
        self::assertSame($count(2), $count(200));
        $this->actingAs($this->person(Role::ReadOnly));
        $this->bring("family\ntern-220\n", true)->assertStatus(403);
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function bring(string $table, bool $apply = false): TestResponse
    {
        return $this->call('POST', '/api/v1/machines/table'.($apply ? '?apply=1' : ''), [], [], [], [
            'CONTENT_TYPE' => 'text/csv',
            'HTTP_ACCEPT' => 'application/json',
            'HTTP_IDEMPOTENCY_KEY' => (string) \Illuminate\Support\Str::uuid(),
        ], $table);
    }
}
