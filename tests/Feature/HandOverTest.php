<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Hands;
use App\Repair\Timers\Timer;
use App\Shop\Role;

/** What the next shift must know stands on one sheet, out of the record. */
final class HandOverTest extends PlanTestCase
{
    public function test_everything_the_next_shift_must_know_is_on_it(): void
    {
        $tagged = $this->promised('2026-12-08');
        $this->tagRed($tagged);
        $late = $this->promised('2026-12-04');
        $dries = $this->promised('2026-12-20');
        Timer::query()->create([
            'job_id' => $dries->id,
            'name' => 'drying',
            'began_at' => now(),
            'rings_at' => now()->addHours(6),
            'person_id' => $this->bo->id,
        ]);
        $asked = $this->promised('2026-12-21');
        $asked->update(['waits_for' => 'owner', 'waits_note' => 'The owner to answer estimate 1', 'waits_since' => now()->subDays(2)]);
        $held = $this->promised('2026-12-22');
        $this->app->make(Hands::class)->on($held, $this->bo);
        $out = $this->promised('2026-12-07');
        $out->update(['finished_at' => now()->subMinutes(20)]);
        $this->comes('Fan 4010', '2026-12-08T11:00:00+01:00');
        $this->comes('Board', '2026-12-04T11:00:00+01:00');
        $this->comes('Belt', '2026-12-30T11:00:00+01:00');
        $this->plan();
        $sheet = $this->told('hand-over');
        $tags = static fn (string $part): array => array_column($sheet[$part], 'tag');
        $words = static fn (string $part): string => implode(' ', array_column($sheet[$part], 'words'));

        self::assertSame([$dries->machine->tag, $tagged->machine->tag], $tags('hot'));
        self::assertStringContainsString('Drying until 15:00; nobody has said whether it is hot.', $words('hot'));
        self::assertStringContainsString('Red tag: A burnt plug at the bed A lead’s signature is wanted.', $words('hot'));
        self::assertSame([$held->machine->tag], $tags('open'));
        self::assertStringContainsString("In {$this->bo->name}’s hands since 09:00", $words('open'));
        self::assertStringContainsString('Fan 4010, comes Tue 8 Dec.', $words('countedOn'));
        self::assertStringContainsString('Board, should have come Fri 4 Dec.', $words('countedOn'));
        self::assertStringNotContainsString('Belt', $words('countedOn'), 'that is not for the next shift');
        self::assertSame([$late->machine->tag, $tagged->machine->tag], $tags('promised'));
        self::assertStringContainsString('promised for before today: late', $words('promised'));
        self::assertSame([true, false], array_column($sheet['promised'], 'urgent'));
        self::assertSame([$asked->machine->tag], $tags('call'));
        self::assertStringContainsString('Ines Halloran: The owner to answer estimate 1, since Sat 5 Dec.', $words('call'));
        self::assertSame([$out->machine->tag], $tags('done'));
    }

    public function test_what_runs_by_itself_says_how_hot_it_is(): void
    {
        $job = $this->promised('2026-12-11');
        $words = function (?bool $hot) use ($job): array {
            $job->update([
                'waits_for' => 'itself', 'waits_note' => 'A soak', 'waits_hot' => $hot, 'waits_until' => now()->addMinutes(90),
            ]);

            return array_column($this->told('hand-over')['hot'], 'words');
        };
        self::assertSame(['A soak until 10:30, hot.'], $words(true));
        self::assertSame(['A soak until 10:30, cold.'], $words(false));
        self::assertSame(['A soak until 10:30; nobody has said whether it is hot.'], $words(null));
        $this->travel(91)->minutes();
        self::assertSame([], array_column($this->told('hand-over')['hot'], 'words'), 'it is over');
    }

    public function test_an_empty_shop_has_an_empty_sheet_and_a_guest_sees_no_telephone_number(): void
    {
        $sheet = $this->told('hand-over');
        foreach (['hot', 'open', 'countedOn', 'promised', 'call', 'done'] as $part) {
            self::assertSame([], $sheet[$part], $part);
        }
        $asked = $this->promised('2026-12-21');
        $asked->machine->owner?->update(['contact' => '0555 0199']);
        $asked->update(['waits_for' => 'owner', 'waits_since' => now()]);
        self::assertSame(['0555 0199'], array_column($this->told('hand-over')['call'], 'contact'));
        $this->actingAs($this->person(Role::ReadOnly));
        self::assertSame([null], array_column($this->told('hand-over')['call'], 'contact'));
    }

    private function comes(string $name, string $expected): void
    {
        $part = $this->part(0, 'fan', $name);
        $part->update(['name' => $name]);
        $this->order($part, 1, $expected);
    }
}
