<?php

declare(strict_types=1);

namespace Tests\Demo;

use App\Fleet\Hold\HoldQuery;
use App\Fleet\Lives\LifeFit;
use App\Fleet\Lives\SeenQuery;
use App\Fleet\Risks\WillFailQuery;
use App\Shop\Person;
use Database\Seeders\Demo\FarmLives;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use OddBench\Fleet\Life;
use OddBench\Fleet\Likelihood;
use OddBench\Fleet\WearLife;
use PHPUnit\Framework\Attributes\DataProvider;

/** The demo’s farm: its lives were drawn from laws that are known, and the shop finds them again. */
final class DemoFarmTest extends DemoTestCase
{
    /** @return iterable<string, array{string, bool|null}> class, whether abrasive; null for all */
    public static function laws(): iterable
    {
        yield 'drive gears' => ['drive-gear', null];
        yield 'belts' => ['belt', null];
        yield 'blowers' => ['part-fan', null];
        yield 'thermistors, which fail by chance' => ['thermistor', null];
        yield 'nozzles under plain filament' => ['nozzle', false];
        yield 'nozzles under filled filament' => ['nozzle', true];
    }

    /** The true mean lies within the 95 % interval, and the true shape within the likelihood’s own. */
    #[DataProvider('laws')]
    public function test_the_law_lives_were_drawn_from_is_found_again(string $class, ?bool $abrasive): void
    {
        $lives = $this->lives($class, $abrasive);
        $judged = (new WearLife)->judge($lives, null, 2.5, 2.0, 'ml');
        $law = FarmLives::law($class, 0, $abrasive ?? false);

        self::assertGreaterThanOrEqual(WearLife::BELIEVES_ITSELF, $judged->failures);
        self::assertLessThan($law->mean(), $judged->low, "{$judged->because()}");
        self::assertGreaterThan($law->mean(), $judged->high ?? INF, "{$judged->because()}");
        $likelihood = Likelihood::of($lives);
        // two parameters at once: the 95th percentile of chi-square with two degrees of freedom, halved
        self::assertLessThan(
            2.9957322735539909,
            $likelihood->log($judged->life->shape, $judged->life->scale) - $likelihood->log($law->shape, $law->scale),
        );
    }

    public function test_filled_filament_is_told_apart_and_what_fails_by_chance_is_not_changed_by_the_clock(): void
    {
        $abrasive = LifeFit::query()->where(['part_class' => 'nozzle', 'circumstance' => 'abrasive'])->firstOrFail();
        self::assertTrue($abrasive->life()->differs());
        self::assertLessThan(
            0.7,
            $abrasive->mean_h / LifeFit::query()->where(['part_class' => 'nozzle', 'circumstance' => 'plain'])->firstOrFail()->mean_h,
        );
        self::assertSame(0, DB::table('position_risks as r')->join('machines as m', 'm.id', '=', 'r.machine_id')
            ->where(['r.part_class' => 'thermistor', 'm.held_as' => 'farm'])->where('r.saves_8', '>', 0)->count());
    }

    public function test_twenty_four_machines_stand_on_racks_and_some_are_worth_a_visit(): void
    {
        self::assertSame(24, DB::table('machines')->where('held_as', 'farm')->whereIn('place', ['service', 'bench'])->count());
        self::assertGreaterThanOrEqual(23, DB::table('rack_places')->count());
        Auth::login(Person::query()->where('login', 'ada')->firstOrFail());
        $will = $this->app->make(WillFailQuery::class)->read(2, null, null);
        self::assertGreaterThanOrEqual(3, $will->worth);
        self::assertGreaterThan(0, $will->savesMinor);
        $hold = $this->app->make(HoldQuery::class)->read();
        self::assertStringContainsString('getting worse', implode(' ', array_column($hold->machines, 'because')));
    }

    public function test_fans_are_changed_on_the_way_and_shift_no_rate_of_the_story(): void
    {
        $farm = DB::table('machines')->where('serial', 'like', 'FM%')->select('id');
        $fans = DB::table('fittings')->whereIn('machine_id', $farm)->where('position', 'heat-break-fan')->whereNotNull('removed_at');

        self::assertGreaterThan(5, (clone $fans)->where('ended_as', 'failed')->count());
        self::assertSame(0, DB::table('diagnoses as d')->join('jobs as j', 'j.id', '=', 'd.job_id')
            ->whereIn('j.machine_id', $farm)->where('d.fault', 'break-fan-failed')->count());
    }

    public function test_what_was_fitted_ends_where_the_next_begins(): void
    {
        self::assertSame([], DB::select(
            'SELECT f.id FROM fittings f JOIN fittings n ON n.replaces_id = f.id
                WHERE f.removed_hours IS DISTINCT FROM n.fitted_hours OR f.removed_at <> n.fitted_at',
        ));
        self::assertSame([], DB::select('SELECT id FROM fittings WHERE removed_hours < fitted_hours'));
    }

    /** @return non-empty-list<Life> of the farm’s own machines */
    private function lives(string $class, ?bool $abrasive): array
    {
        $lives = [];
        foreach ($this->app->make(SeenQuery::class)->all($class) as $at) {
            $life = $at->seen->life();
            if ($life instanceof Life && str_starts_with((string) $at->machine->serial, 'FM')
                && ($abrasive === null || $at->machine->prints_abrasive === $abrasive)) {
                $lives[] = $life;
            }
        }
        self::assertNotSame([], $lives);

        return $lives;
    }
}
