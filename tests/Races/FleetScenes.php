<?php

declare(strict_types=1);

namespace Tests\Races;

use App\Fleet\Farm\Rack;
use App\Machines\Machine;
use App\Machines\Owners\OwnerChoice;
use App\Machines\RegisterMachine;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/** The moments at which each write about the farm can be sent. */
final readonly class FleetScenes
{
    /** @param  \Closure(string, string, array<string, mixed>): TestResponse<\Illuminate\Http\Response>  $send */
    public function __construct(private \Closure $send)
    {
    }

    /** @return array<string, \Closure(): array{string, string, array<string, mixed>}> route => scene */
    public function all(): array
    {
        return [
            'POST fleet/service-jobs' => fn () => ['POST', '/fleet/service-jobs', [
                'visits' => [['tag' => $this->machine()->tag, 'positions' => ['nozzle', 'liner']]],
            ]],
            'POST fleet/racks' => fn () => ['POST', '/fleet/racks', ['name' => Str::random(8), 'shelves' => 2, 'places' => 4]],
            'PUT fleet/racks/{rack}' => fn () => ['PUT', "/fleet/racks/{$this->rack()}", [
                'name' => Str::random(8), 'shelves' => 3, 'places' => 4, 'version' => 1,
            ]],
            'DELETE fleet/racks/{rack}' => fn () => ['DELETE', "/fleet/racks/{$this->rack()}", []],
            'POST fleet/standing' => fn () => ['POST', '/fleet/standing', [
                'tag' => $this->machine()->tag, 'rack' => $this->rack(), 'shelf' => 1, 'place' => 2, 'swap' => false,
            ]],
            'POST campaigns' => function () {
                $this->alone();

                return ['POST', '/campaigns', self::campaign()];
            },
            'PUT campaigns/{campaign}' => fn () => ['PUT', "/campaigns/{$this->open()[0]}", ['mend' => 'moulded clamp', 'dueOn' => null]],
            'POST campaigns/{campaign}/mended' => function () {
                [$campaign, $tag] = $this->open();
                $this->write('POST', "/campaigns/{$campaign}/looks", ['tag' => $tag, 'affected' => true]);

                return ['POST', "/campaigns/{$campaign}/mended", ['tag' => $tag]];
            },
            'POST campaigns/{campaign}/red-tags' => fn () => ['POST', "/campaigns/{$this->open()[0]}/red-tags", []],
            'POST campaigns/{campaign}/letters' => function () {
                [$campaign, $tag] = $this->open('owner');
                $this->write('POST', "/campaigns/{$campaign}/looks", ['tag' => $tag, 'affected' => true]);

                return ['POST', "/campaigns/{$campaign}/letters", ['tag' => $tag]];
            },
        ];
    }

    /** @return array<string, mixed> */
    private static function campaign(string $heldAs = 'farm'): array
    {
        return [
            'origin' => 'thought', 'title' => 'Clamps', 'lookFor' => 'layers on the clamp', 'dangerous' => true,
            'who' => ['families' => ['tern-220'], 'heldAs' => $heldAs],
        ];
    }

    /** @return array{int, string} campaign and the one machine on it */
    private function open(string $heldAs = 'farm'): array
    {
        $tag = $this->alone($heldAs)->tag;
        $this->write('POST', '/campaigns', self::campaign($heldAs));

        return [(int) DB::table('campaigns')->max('id'), $tag];
    }

    /** Those of before are out of the way, so that every campaign is as long. */
    private function alone(string $heldAs = 'farm'): Machine
    {
        DB::table('machines')->update(['place' => 'scrap']);

        return $this->machine($heldAs);
    }

    private function rack(): int
    {
        $this->write('POST', '/fleet/racks', ['name' => Str::random(8), 'shelves' => 2, 'places' => 4]);

        return (int) Rack::query()->max('id');
    }

    private function machine(string $heldAs = 'farm'): Machine
    {
        $machine = app(RegisterMachine::class)->register(
            'tern-220',
            Str::random(10),
            $heldAs,
            $heldAs === 'owner' ? OwnerChoice::named('Nora Quist') : null,
            null,
        );
        $machine->update(['place' => $heldAs === 'owner' ? 'owner' : 'service']);

        return $machine;
    }

    /** @param  array<string, mixed>  $body */
    private function write(string $method, string $path, array $body): void
    {
        ($this->send)($method, $path, $body)->assertOk();
    }
}
