<?php

declare(strict_types=1);

namespace App\Plan\Calendar;

use App\Api\View;
use App\Plan\Ahead\Names;
use App\Shop\Person;
use App\Shop\ShopDay;
use OpenApi\Attributes as OA;

/** When the shop is open and who is here when. */
#[OA\Schema]
final readonly class CalendarView extends View
{
    /**
     * @param  list<OpenHoursView>  $shop
     * @param  list<WorkerHoursView>  $people
     * @param  list<DayOffView>  $off
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: OpenHoursView::class))] public array $shop,
        #[OA\Property(type: 'array', items: new OA\Items(ref: WorkerHoursView::class))] public array $people,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DayOffView::class))] public array $off,
        #[OA\Property(description: 'the one who asks has an address to subscribe to')] public bool $subscribed,
        #[OA\Property(description: 'that address, shown once')] public ?string $address = null,
    ) {
    }

    public static function read(Person $me, ?string $address = null): self
    {
        $hours = Hours::query()->orderBy('weekday')->orderBy('opens')->get();
        $of = static fn (?int $person): array => array_values(
            $hours->where('person_id', $person)->map(static fn (Hours $row): OpenHoursView => OpenHoursView::of($row))->all(),
        );
        $people = [];
        foreach (app(Names::class)->all() as $id => $name) {
            $people[] = new WorkerHoursView($id, $name, $of($id));
        }

        return new self(
            $of(null),
            $people,
            array_values(DayOff::query()->with('person')->where('last', '>=', app(ShopDay::class)->today())
                ->orderBy('first')->orderBy('id')->limit(200)->get()->map(DayOffView::of(...))->all()),
            $me->calendar_secret !== null,
            $address,
        );
    }
}
