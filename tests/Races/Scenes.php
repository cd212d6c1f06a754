<?php

declare(strict_types=1);

namespace Tests\Races;

use App\Intake\Job;
use App\Machines\Counter;
use App\Machines\Machine;
use App\Machines\Owners\Owner;
use App\Machines\RegisterMachine;
use App\Proof\Run\ProofRun;
use App\Shop\Person;
use App\Shop\Tokens\Token;
use App\Stock\Parts\Part;
use App\Stock\Shelf\MoveStock;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use OddBench\Knowledge\Knowledge;
use Symfony\Component\Yaml\Yaml;

/** For each write route of the API a moment at which it can be sent: what has to stand before, and the write itself. */
final class Scenes
{
    private static int $count = 0;

    /** @param  \Closure(string, string, array<string, mixed>): TestResponse<\Illuminate\Http\Response>  $send */
    public function __construct(private readonly Shop $shop, private readonly \Closure $send)
    {
    }

    /** @return array<string, \Closure(): array{string, string, array<string, mixed>|array{raw: string, type: string}}> route => scene */
    public function all(): array
    {
        return [
            ...(new MoneyScenes($this->send))->all(),
            ...(new FleetScenes($this->send))->all(),
            ...(new PlanScenes($this->send))->all(fn (): Job => $this->job()),
            // Intake
            'POST jobs' => fn () => [
                'POST',
                '/jobs',
                ['tag' => $this->machine()->tag, 'kind' => 'repair', 'complaint' => 'it clicks', 'began' => 'crept-in', 'hours' => 1300],
            ],
            // Shop
            'POST people' => fn () => [
                'POST',
                '/people',
                ['login' => Str::lower(Str::random(8)), 'name' => 'Nia Farrow', 'role' => 'counter'],
            ],
            'PUT people/{person}' => fn () => ['PUT', "/people/{$this->somebody()}", ['name' => 'Nia Farrow', 'role' => 'read-only']],
            'POST people/{person}/code' => fn () => ['POST', "/people/{$this->somebody()}/code", []],
            'DELETE people/{person}' => fn () => ['DELETE', "/people/{$this->somebody()}", []],
            'POST tokens' => fn () => [
                'POST',
                '/tokens',
                ['name' => 'Nightly list', 'person' => $this->somebody(), 'rights' => [], 'days' => 30],
            ],
            'DELETE tokens/{token}' => function () {
                $this->write('POST', '/tokens', ['name' => 'Nightly list', 'person' => $this->somebody(), 'rights' => [], 'days' => 30]);

                return ['DELETE', '/tokens/'.Token::query()->max('id'), []];
            },
            'PUT settings' => function () {
                $settings = [
                    'shopName' => 'Quay Street',
                    'zone' => 'UTC',
                    'currency' => 'EUR',
                    'benchMinuteMinor' => 90,
                    'orderMinutes' => 12,
                    'holdingPct' => 20,
                    'servicePct' => 80,
                    'school' => 'measure-first',
                    'idleMinutes' => 30,
                    'warrantyDays' => 90,
                    'warrantyHours' => 500,
                    'openMinutes' => 12,
                    'findMinutes' => 30,
                    'downDays' => 2,
                    'printHourMinor' => 120,
                    'ovens' => 1,
                    'nights' => false,
                ];
                $this->write('PUT', '/settings', $settings);

                return ['PUT', '/settings', $settings];
            },
            // Machines
            'POST machines' => fn () => ['POST', '/machines', ['family' => 'tern-220', 'serial' => Str::random(10), 'heldAs' => 'farm']],
            'PUT machines/{tag}/known' => function () {
                $machine = $this->machine();

                return ['PUT', "/machines/{$machine->tag}/known", [
                    'family' => $machine->family, 'serial' => Str::random(10), 'heldAs' => 'farm', 'place' => $machine->place,
                    'seen' => (string) $machine->updated_at?->toIso8601String(),
                ]];
            },
            'POST machines/{tag}/page-key' => fn () => ['POST', "/machines/{$this->machine()->tag}/page-key", []],
            'PUT owners/{owner}' => fn () => ['PUT', "/owners/{$this->owner()}", ['name' => 'Nora Quist', 'company' => false]],
            'POST owners/{owner}/merge' => fn () => ['POST', "/owners/{$this->owner()}/merge", ['into' => $this->owner()]],
            'POST owners/{owner}/erase' => fn () => ['POST', "/owners/{$this->owner()}/erase", []],
            'POST families' => fn () => ['POST', '/families', ['content' => $this->family()]],
            'POST families/import' => fn () => $this->fresh([
                'POST',
                '/families/import',
                ['raw' => Yaml::dump(['code' => 'plover-180'] + $this->family()), 'type' => 'application/octet-stream'],
            ]),
            'PUT families/{family}' => fn () => $this->fresh(['PUT', '/families/wren-mini', ['content' => $this->family()]]),
            'DELETE families/{family}' => function () {
                $this->write('PUT', '/families/wren-mini', ['content' => $this->family()]);

                return ['DELETE', '/families/wren-mini', []];
            },
            'POST families/{family}/picture' => fn () => $this->fresh(['POST', '/families/heron-cx/picture', $this->picture()]),
            'PUT jobs/{job}/accessories' => function () {
                $job = $this->job();

                return [
                    'PUT',
                    "/jobs/{$job->id}/accessories",
                    ['accessories' => [['code' => 'mains-cord', 'came' => 1]], 'version' => $job->refresh()->version],
                ];
            },
            'POST machines/table' => fn () => [
                'POST',
                '/machines/table?apply=1',
                ['raw' => "family,serial,hours\ntern-220,".Str::random(10).",12\n", 'type' => 'text/csv'],
            ],
            'POST machines/{tag}/counters' => fn () => ['POST', "/machines/{$this->machine()->tag}/counters", ['hours' => 1300]],
            'DELETE machines/{tag}/counters/{counter}' => function () {
                $tag = $this->machine()->tag;
                $this->write('POST', "/machines/{$tag}/counters", ['hours' => 1300]);

                return ['DELETE', "/machines/{$tag}/counters/".Counter::query()->max('id'), []];
            },
            'PATCH jobs/{job}' => fn () => $this->of(
                $job = $this->job(),
                'PATCH',
                '',
                ['version' => $job->version, 'complaint' => 'it clicks twice'],
            ),
            'POST jobs/{job}/station' => fn () => $this->of(
                $job = $this->safe(),
                'POST',
                '/station',
                ['to' => 'diagnosis', 'version' => $job->version],
            ),
            'POST jobs/{job}/hands' => fn () => $this->of($this->job(), 'POST', '/hands', ['on' => true]),
            'POST jobs/{job}/photographs' => fn () => $this->of($this->job(), 'POST', '/photographs', $this->picture()),
            // Safety
            'POST jobs/{job}/safety-answers' => fn () => $this->of(
                $this->job(),
                'POST',
                '/safety-answers',
                ['answers' => array_fill_keys(array_keys($this->knowledge()->safetyQuestions), false)],
            ),
            'POST jobs/{job}/red-tag' => fn () => $this->of($this->job(), 'POST', '/red-tag', ['reason' => 'smells of burning']),
            'POST jobs/{job}/red-tag/off' => fn () => $this->of(
                $this->tagged(),
                'POST',
                '/red-tag/off',
                ['cause' => 'plug renewed', 'measurement' => '0.1 Ω at the plug'],
            ),
            'POST jobs/{job}/red-tag/countersignature' => fn () => $this->of(
                $this->after(
                    $this->tagged(),
                    'POST',
                    '/red-tag/off',
                    ['cause' => 'plug renewed', 'measurement' => '0.1 Ω at the plug'],
                    other: true,
                ),
                'POST',
                '/red-tag/countersignature',
            ),
            'POST jobs/{job}/red-tag/supervised-test' => fn () => $this->of(
                $this->to($this->tagged(), 'diagnosis'),
                'POST',
                '/red-tag/supervised-test',
                ['check' => 'frame-voltage', 'besideTheSwitch' => 'Imre'],
            ),
            // Find
            'POST jobs/{job}/findings' => fn () => $this->of(
                $this->atFind(),
                'POST',
                '/findings',
                ['findings' => ['jams-when-warm' => true]],
            ),
            'DELETE jobs/{job}/findings/{finding}' => fn () => $this->of(
                $job = $this->found(),
                'DELETE',
                '/findings/'.$this->last('job_findings', $job),
            ),
            'POST jobs/{job}/readings' => fn () => $this->of($this->atFind(), 'POST', '/readings', ['check' => 'feed-100', 'value' => 100]),
            'POST jobs/{job}/instruments/{name}' => fn () => $this->of(
                $this->atFind(),
                'POST',
                '/instruments/heater?position=heater',
                ['typed' => ['volts' => '24', 'rated_w' => '40', 'measured_ohm' => '14.4']],
            ),
            'POST jobs/{job}/hidden-checks' => fn () => $this->of($this->found(), 'POST', '/hidden-checks', ['check' => 'earth-path']),
            'POST jobs/{job}/faults' => fn () => $this->of(
                $job = $this->found(),
                'POST',
                '/faults',
                ['faults' => ['tube-cooked'], 'version' => $job->version],
            ),
            'POST jobs/{job}/faults/pass' => fn () => $this->of(
                $job = $this->atFind('service'),
                'POST',
                '/faults/pass',
                ['reason' => 'Nothing broken: due by hours.', 'version' => $job->version],
            ),
            'POST jobs/{job}/faults/supersede' => fn () => $this->of(
                $job = $this->atFix(),
                'POST',
                '/faults/supersede',
                ['fault' => 'tube-cooked', 'overturnedBy' => 'jams-when-warm', 'version' => $job->version],
            ),
            'POST jobs/{job}/campaigns' => function () {
                $this->noCampaigns();
                $this->machine();

                return $this->of($this->screws(), 'POST', '/campaigns', ['fault' => 'knob-screws-free']);
            },
            'POST campaigns/{campaign}/looks' => function () {
                [$campaign, $tag] = $this->campaign();

                return ['POST', "/campaigns/{$campaign}/looks", ['tag' => $tag, 'affected' => false]];
            },
            'POST campaigns/{campaign}/end' => fn () => ['POST', '/campaigns/'.$this->campaign()[0].'/end', []],
            'POST jobs/{job}/trials' => fn () => $this->of(
                $this->atFind(),
                'POST',
                '/trials',
                ['settings' => ['speed' => '60'], 'rating' => 2],
            ),
            'POST jobs/{job}/trials/plan' => fn () => $this->of(
                $this->atFind(),
                'POST',
                '/trials/plan',
                ['low' => ['speed' => '40', 'retraction' => '4'], 'high' => ['speed' => '80', 'retraction' => '6']],
            ),
            'POST jobs/{job}/trials/conclusion' => fn () => $this->of($this->trials(3), 'POST', '/trials/conclusion'),
            'DELETE jobs/{job}/trials/{trial}' => fn () => $this->of($job = $this->trials(1), 'DELETE', '/trials/1'),
            'POST jobs/{job}/spool' => fn () => $this->of($this->atFind(), 'POST', '/spool', ['spool' => $this->spool()]),
            // Fix
            'POST jobs/{job}/mends' => fn () => $this->of(
                $this->atFix(),
                'POST',
                '/mends',
                ['fault' => 'tube-cooked', 'done' => 'New liner'],
            ),
            'POST jobs/{job}/parts' => fn () => $this->of(
                $this->atFix(),
                'POST',
                '/parts',
                ['part' => $this->part(1)->number, 'quantity' => 1, 'position' => 'liner'],
            ),
            'DELETE jobs/{job}/parts/{movement}' => fn () => $this->of(
                $job = $this->after($this->atFix(), 'POST', '/parts', ['part' => $this->part()->number, 'quantity' => 1]),
                'DELETE',
                '/parts/'.$this->last('movements', $job),
            ),
            'POST jobs/{job}/positions/{position}/turn' => fn () => $this->of(
                $this->atFix(),
                'POST',
                '/positions/y-rail-left/turn',
                ['reason' => 'groove'],
            ),
            'POST jobs/{job}/positions/{position}/removal' => fn () => $this->of(
                $this->atFix(),
                'POST',
                '/positions/sock/removal',
                ['became' => 'scrap'],
            ),
            'POST jobs/{job}/warranty' => fn () => $this->of(
                $this->underWarranty(),
                'POST',
                '/warranty',
                ['choice' => 'mend', 'note' => 'not worth the wait'],
            ),
            'POST jobs/{job}/service' => fn () => $this->of($this->atFix(), 'POST', '/service', ['item' => 'grease']),
            'POST jobs/{job}/teardown-steps' => fn () => $this->of(
                $this->atFix(),
                'POST',
                '/teardown-steps',
                ['off' => 'Cover', 'fasteners' => '4 M3x12'],
            ),
            'DELETE jobs/{job}/teardown-steps/{step}' => fn () => $this->of($this->opened(), 'DELETE', '/teardown-steps/1'),
            'POST jobs/{job}/teardown-steps/{step}/missing' => fn () => $this->of(
                $this->opened(),
                'POST',
                '/teardown-steps/1/missing',
                ['fasteners' => '1 M3x12'],
            ),
            'POST jobs/{job}/teardown-steps/{step}/back' => fn () => $this->of(
                $this->opened(),
                'POST',
                '/teardown-steps/1/back',
                ['finished' => true],
            ),
            'DELETE jobs/{job}/teardown-steps/{step}/back' => fn () => $this->of(
                $this->after($this->opened(), 'POST', '/teardown-steps/1/back', ['finished' => true]),
                'DELETE',
                '/teardown-steps/1/back',
            ),
            'POST jobs/{job}/differences/explanation' => fn () => $this->of(
                $this->after($this->opened(), 'POST', '/teardown-steps/1/back', ['fasteners' => '3 M3x12', 'finished' => true]),
                'POST',
                '/differences/explanation',
                ['because' => 'One stripped, a new one is ordered'],
            ),
            'POST jobs/{job}/guide-runs' => fn () => $this->of($this->atFix(), 'POST', '/guide-runs', ['guide' => 'replace-liner']),
            'POST jobs/{job}/guide-runs/{run}/steps/{step}' => fn () => $this->guide('POST', '/steps/1'),
            'DELETE jobs/{job}/guide-runs/{run}/steps/{step}' => fn () => $this->guide('DELETE', '/steps/1', ['/steps/1']),
            'POST jobs/{job}/guide-runs/{run}/end' => fn () => $this->guide('POST', '/end', body: ['givenUp' => true]),
            'POST jobs/{job}/guide-runs/{run}/kit' => function () {
                DB::table('reservations')->delete();
                // the one that was used most is promised: there has to be some of it
                $most = DB::table('part_uses')->where(['family' => 'tern-220', 'class' => 'liner'])
                    ->orderByDesc('times')
                    ->orderBy('part_id')
                    ->value('part_id');
                app(MoveStock::class)->receive(Part::query()->find($most) ?? $this->part(), 9, 120, null, $this->shop->lead());

                return $this->guide('POST', '/kit');
            },
            'POST jobs/{job}/guide-runs/{run}/steps/{step}/timer' => fn () => $this->guide(
                'POST',
                '/steps/'.$this->timedStep().'/timer',
                guide: 'hotend-soak',
            ),
            'DELETE jobs/{job}/promised-parts' => fn () => $this->of($this->promised(), 'DELETE', '/promised-parts'),
            'POST jobs/{job}/timers' => fn () => $this->of($this->atFix(), 'POST', '/timers', ['name' => 'Soak', 'minutes' => 10]),
            'DELETE jobs/{job}/timers/{timer}' => fn () => $this->of(
                $job = $this->after($this->atFix(), 'POST', '/timers', ['name' => 'Soak', 'minutes' => 10]),
                'DELETE',
                '/timers/'.$this->last('timers', $job),
            ),
            // Prove and send out
            'POST jobs/{job}/proofs' => fn () => $this->of($this->atProve(), 'POST', '/proofs', ['proof' => 'leads-tug', 'passed' => true]),
            'POST jobs/{job}/proofs/waiver' => fn () => $this->of(
                $this->after(
                    $this->after($this->atProve(), 'POST', '/proofs', ['proof' => 'leads-tug', 'passed' => true]),
                    'POST',
                    '/proofs',
                    ['proof' => 'power-on', 'passed' => true],
                ),
                'POST',
                '/proofs/waiver',
                ['proof' => 'home', 'because' => 'Owner homes it himself today'],
            ),
            'POST jobs/{job}/proof-run' => fn () => $this->of(
                $this->after($this->atProve(), 'POST', '/proofs', ['proof' => 'leads-tug', 'passed' => true]),
                'POST',
                '/proof-run',
                ['host' => '127.0.0.1', 'port' => 20_000 + ++self::$count],
            ),
            'POST jobs/{job}/proof-run/{run}/answer' => fn () => $this->run(
                'answer',
                ['answer' => 'none'],
                ['state' => 'asking', 'question' => 'Smoke?', 'choices' => ['none', 'there is']],
            ),
            'POST jobs/{job}/proof-run/{run}/stop' => fn () => $this->run('stop', [], ['state' => 'running']),
            'POST jobs/{job}/proof-run/{run}/unplugged' => fn () => $this->run(
                'unplugged',
                [],
                ['state' => 'lost', 'heat' => 'unconfirmed', 'ended_at' => now()],
            ),
            'POST jobs/{job}/proof-run/{run}/back-to-find' => fn () => $this->run(
                'back-to-find',
                [],
                [
                    'state' => 'failed',
                    'ended_at' => now(),
                    'results' => ['homing' => [
                        'passed' => false,
                        'words' => 'It grinds.',
                        'value' => null,
                        'rise' => null,
                        'finding' => 'error-homing',
                        'danger' => false,
                    ]],
                ],
            ),
            'POST jobs/{job}/release' => fn () => $this->of(
                $job = $this->toGo(),
                'POST',
                '/release',
                ['to' => 'service', 'version' => $job->version],
            ),
            // Machines
            'POST machines/{tag}/service-jobs' => fn () => [
                'POST',
                '/machines/'.$this->machine()->tag.'/service-jobs',
                ['items' => ['grease'], 'hours' => 1300],
            ],
            'PUT machines/{tag}/warranty' => fn () => [
                'PUT',
                '/machines/'.$this->machine()->tag.'/warranty',
                ['by' => 'seller', 'until' => now()->addMonths(3)->toDateString()],
            ],
            'POST families/{family}/papers' => fn () => ['POST', '/families/tern-220/papers?title=Map'.++self::$count, $this->picture()],
            'DELETE papers/{paper}' => fn () => ['DELETE', '/papers/'.$this->paper(), []],
            'POST papers/{paper}/marks' => fn () => [
                'POST',
                '/papers/'.$this->paper().'/marks',
                ['kind' => 'socket', 'code' => 'X', 'x' => 0.5, 'y' => 0.5],
            ],
            'DELETE papers/{paper}/marks/{mark}' => function () {
                $paper = $this->paper();
                $this->write('POST', "/papers/{$paper}/marks", ['kind' => 'socket', 'code' => 'X', 'x' => 0.5, 'y' => 0.5]);

                return ['DELETE', "/papers/{$paper}/marks/".DB::table('paper_marks')->max('id'), []];
            },
            // Shelf
            'POST parts' => fn () => [
                'POST',
                '/parts',
                ['number' => 'NEW-'.++self::$count, 'name' => 'Fan', 'class' => 'heat-break-fan', 'bin' => 'D1'],
            ],
            'PATCH parts/{number}' => fn () => $this->ofPart(
                $part = $this->part(),
                'PATCH',
                '',
                ['version' => $part->version, 'name' => 'Liner, cut', 'class' => 'liner', 'families' => [], 'positions' => []],
            ),
            'POST parts/{number}/movements' => fn () => $this->ofPart(
                $this->part(1),
                'POST',
                '/movements',
                ['kind' => 'scrapped', 'quantity' => 1, 'note' => 'bent'],
            ),
            'PUT parts/{number}/supply' => fn () => $this->ofPart(
                $this->part(),
                'PUT',
                '/supply',
                ['supplier' => 'Marram '.++self::$count, 'leadDays' => 5, 'pack' => 5, 'packCostMinor' => 900],
            ),
            'POST parts/{number}/substitutes' => fn () => $this->ofPart(
                $this->part(),
                'POST',
                '/substitutes',
                ['other' => $this->part()->number, 'note' => 'cut it'],
            ),
            'DELETE parts/{number}/substitutes/{other}' => function () {
                [$part, $other] = [$this->part(), $this->part()];
                $this->write('POST', "/parts/{$part->number}/substitutes", ['other' => $other->number]);

                return $this->ofPart($part, 'DELETE', "/substitutes/{$other->number}");
            },
            'PUT parts/{number}/successor' => fn () => $this->ofPart(
                $this->part(),
                'PUT',
                '/successor',
                ['other' => $this->part()->number],
            ),
            'POST parts/{number}/photograph' => fn () => $this->ofPart($this->part(), 'POST', '/photograph', $this->picture()),
            'POST parts/{number}/promises' => fn () => $this->ofPart(
                $this->part(1),
                'POST',
                '/promises',
                ['tag' => $this->atFix()->machine->tag, 'quantity' => 1],
            ),
            'PUT parts/{number}/movements/{movement}/bad-batch' => fn () => $this->ofPart(
                $part = $this->part(),
                'PUT',
                '/movements/'.$this->receipt($part).'/bad-batch',
                ['because' => 'two failed'],
            ),
            'DELETE parts/{number}/movements/{movement}/bad-batch' => function () {
                $part = $this->part();
                $this->write('PUT', "/parts/{$part->number}/movements/{$this->receipt($part)}/bad-batch", ['because' => 'two failed']);

                return $this->ofPart($part, 'DELETE', "/movements/{$this->receipt($part)}/bad-batch", ['because' => 'another cause']);
            },
            'PUT parts/{number}/recipe' => fn () => $this->ofPart(
                $this->part(),
                'PUT',
                '/recipe',
                ['material' => 'PETG', 'grams' => 6, 'pricePerKgMinor' => 2200, 'printMinutes' => 20, 'handMinutes' => 1],
            ),
            'POST parts/{number}/recipe/file' => fn () => $this->ofPart(
                $this->recipe(),
                'POST',
                '/recipe/file?name=clamp.stl',
                ['raw' => 'solid clamp '.++self::$count, 'type' => 'application/octet-stream'],
            ),
            'POST parts/{number}/made' => fn () => $this->ofPart($this->recipe(), 'POST', '/made', ['quantity' => 2]),
            'POST donors/{tag}/parts' => fn () => [
                'POST',
                '/donors/'.$this->donor()->tag.'/parts',
                ['position' => 'sock', 'part' => $this->part(1, 'sock')->number, 'grade' => 'untested'],
            ],
            'POST stocktakes' => function () {
                $this->endStocktake();

                return ['POST', '/stocktakes', ['bins' => '']];
            },
            'POST stocktakes/{stocktake}/end' => fn () => ['POST', "/stocktakes/{$this->stocktake()}/end", ['post' => false]],
            'PUT stocktakes/{stocktake}/bins/{bin}' => fn () => ['PUT', "/stocktakes/{$this->stocktake()}/bins/{$this->part()->bin}", []],
            'POST stocktakes/{stocktake}/bins/{bin}/counts' => function () {
                $part = $this->part();
                $take = $this->stocktake();
                $this->write('PUT', "/stocktakes/{$take}/bins/{$part->bin}", []);

                return ['POST', "/stocktakes/{$take}/bins/{$part->bin}/counts", ['part' => $part->number, 'counted' => 3]];
            },
            'POST stocktakes/{stocktake}/bins/{bin}/done' => function () {
                $part = $this->part();
                $take = $this->stocktake();
                $this->write('PUT', "/stocktakes/{$take}/bins/{$part->bin}", []);
                $this->write('POST', "/stocktakes/{$take}/bins/{$part->bin}/counts", ['part' => $part->number, 'counted' => 3]);

                return ['POST', "/stocktakes/{$take}/bins/{$part->bin}/done", []];
            },
            'POST spools' => fn () => ['POST', '/spools', ['material' => 'PETG', 'netG' => 1000, 'emptyG' => 230]],
            'POST spools/{code}/events' => fn () => ['POST', "/spools/{$this->spool()}/events", ['kind' => 'weighed', 'grams' => 730]],
            'POST stock-files/{kind}' => fn () => ['POST', '/stock-files/parts?name=parts.csv', $this->table()],
            'POST stock-files/{file}/apply' => function () {
                $this->write('POST', '/stock-files/parts?name=parts.csv', $this->table());

                return ['POST', '/stock-files/'.DB::table('stock_files')->max('id').'/apply', ['onlySound' => true]];
            },
            'POST orders' => fn () => [
                'POST',
                '/orders',
                ['supplier' => $this->supplier($part = $this->part()), 'packs' => [$part->number => 1], 'lessIsRight' => true],
            ],
            'POST orders/{order}/lines/{line}/receipts' => function () {
                $order = $this->order();

                return [
                    'POST',
                    "/orders/{$order}/lines/".DB::table('order_lines')->where('order_id', $order)->value('id').'/receipts',
                    ['quantity' => 5],
                ];
            },
            'POST orders/{order}/close' => fn () => ['POST', "/orders/{$this->order()}/close", ['because' => 'they have none']],
        ];
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array{string, string, array<string, mixed>}
     */
    private function of(Job $job, string $method, string $path, array $body = []): array
    {
        return [$method, "/jobs/{$job->id}{$path}", $body];
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array{string, string, array<string, mixed>}
     */
    private function ofPart(Part $part, string $method, string $path, array $body = []): array
    {
        return [$method, "/parts/{$part->number}{$path}", $body];
    }

    /** @param  array<string, mixed>  $body */
    private function write(string $method, string $path, array $body): void
    {
        ($this->send)($method, $path, $body)->assertOk();
    }

    /** @param  array<string, mixed>  $body */
    private function after(Job $job, string $method, string $path, array $body = [], bool $other = false): Job
    {
        if ($other) {
            $this->shop->another();
        }
        $this->write($method, "/jobs/{$job->id}{$path}", $body);
        $this->shop->lead();

        return $job->refresh();
    }

    private function knowledge(): Knowledge
    {
        return app(Knowledge::class);
    }

    private function somebody(): int
    {
        $this->write('POST', '/people', ['login' => Str::lower(Str::random(8)), 'name' => 'Nia Farrow', 'role' => 'counter']);

        return (int) Person::query()->max('id');
    }

    private function owner(): int
    {
        return (int) Owner::query()->create(['name' => 'Nora Quist'])->id;
    }

    /**
     * With no family of the shop's own before it.
     *
     * @param  array{string, string, array<string, mixed>|array{raw: string, type: string}}  $scene
     * @return array{string, string, array<string, mixed>|array{raw: string, type: string}}
     */
    private function fresh(array $scene): array
    {
        DB::table('families')->delete();

        return $scene;
    }

    /** @return array<string, mixed> one that nobody has written down yet */
    private function family(): array
    {
        return [
            'name' => 'Grey one '.++self::$count,
            'letters' => 'XX',
            'unknown' => true,
            'traits' => ['motion' => 'corexy'],
            'positions' => [],
        ];
    }

    private function machine(): Machine
    {
        return app(RegisterMachine::class)->register('tern-220', Str::random(10), 'farm', null, null);
    }

    private function job(string $kind = 'repair'): Job
    {
        $this->write(
            'POST',
            '/jobs',
            ['tag' => $this->machine()->tag, 'kind' => $kind, 'complaint' => 'it clicks', 'began' => 'crept-in', 'hours' => 1200],
        );

        return Job::query()->with('machine')->orderByDesc('id')->firstOrFail();
    }

    private function safe(string $kind = 'repair'): Job
    {
        return $this->after(
            $this->job($kind),
            'POST',
            '/safety-answers',
            ['answers' => array_fill_keys(array_keys($this->knowledge()->safetyQuestions), false)],
        );
    }

    private function to(Job $job, string $station): Job
    {
        return $job->station->value === $station ? $job : $this->after(
            $job,
            'POST',
            '/station',
            ['to' => $station, 'version' => $job->version],
        );
    }

    private function tagged(): Job
    {
        return $this->after($this->safe(), 'POST', '/red-tag', ['reason' => 'smells of burning']);
    }

    private function atFind(string $kind = 'repair'): Job
    {
        return $this->to($this->safe($kind), 'diagnosis');
    }

    private function found(): Job
    {
        return $this->after($this->atFind(), 'POST', '/findings', ['findings' => ['jams-when-warm' => true, 'hot-material-used' => true]]);
    }

    private function atFix(): Job
    {
        $job = $this->found();

        return $this->after($job, 'POST', '/faults', ['faults' => ['tube-cooked'], 'version' => $job->version]);
    }

    private function screws(): Job
    {
        $job = $this->after($this->atFind(), 'POST', '/findings', ['findings' => ['knob-screw-turns' => true]]);

        return $this->after($job, 'POST', '/faults', ['faults' => ['knob-screws-free'], 'version' => $job->version]);
    }

    /** @return array{int, string} campaign and a machine owed a look */
    private function campaign(): array
    {
        $this->noCampaigns();
        $this->machine();
        $this->after($this->screws(), 'POST', '/campaigns', ['fault' => 'knob-screws-free']);
        $campaign = (int) DB::table('campaigns')->max('id');

        return [
            $campaign,
            (string) DB::table('looks_owed')->join(
                'machines',
                'machines.id',
                'looks_owed.machine_id',
            )->where('campaign_id', $campaign)->whereNull('looked_at')->value('tag'),
        ];
    }

    private function noCampaigns(): void
    {
        DB::table('looks_owed')->delete();
        DB::table('campaigns')->delete();
        // sisters of before are out of the way, so that every list is as long
        DB::table('machines')->update(['place' => 'scrap']);
    }

    private function trials(int $count): Job
    {
        $job = $this->atFind();
        foreach (array_slice(['60', '50', '40'], 0, $count) as $speed) {
            $job = $this->after($job, 'POST', '/trials', ['settings' => ['speed' => $speed], 'rating' => 2]);
        }

        return $job;
    }

    private function underWarranty(): Job
    {
        $job = $this->job();
        $this->write('PUT', "/machines/{$job->machine->tag}/warranty", ['by' => 'seller', 'until' => now()->addMonths(3)->toDateString()]);

        return $job->refresh();
    }

    private function opened(): Job
    {
        return $this->after($this->atFix(), 'POST', '/teardown-steps', ['off' => 'Cover', 'fasteners' => '4 M3x12']);
    }

    /**
     * @param  list<string>  $ticked
     * @param  array<string, mixed>  $body
     * @return array{string, string, array<string, mixed>}
     */
    private function guide(string $method, string $path, array $ticked = [], array $body = [], string $guide = 'replace-liner'): array
    {
        $job = $this->after($this->atFix(), 'POST', '/guide-runs', ['guide' => $guide === 'hotend-soak' ? $this->timedGuide() : $guide]);
        $run = $this->last('guide_runs', $job);
        foreach ($ticked as $step) {
            $this->after($job, 'POST', "/guide-runs/{$run}{$step}");
        }

        return $this->of($job, $method, "/guide-runs/{$run}{$path}", $body);
    }

    private function timedGuide(): string
    {
        foreach ($this->knowledge()->guides as $guide) {
            foreach ($guide->stepsOf(null) as $step) {
                if ($step->timer !== null && in_array('tube-cooked', $guide->mends, true)) {
                    return $guide->code;
                }
            }
        }

        return 'replace-liner';
    }

    private function timedStep(): int
    {
        foreach ($this->knowledge()->guides[$this->timedGuide()]->stepsOf(null) as $number => $step) {
            if ($step->timer !== null) {
                return (int) $number;
            }
        }

        return 1;
    }

    private function promised(): Job
    {
        $job = $this->atFix();
        $this->write('POST', "/parts/{$this->part()->number}/promises", ['tag' => $job->machine->tag, 'quantity' => 1]);

        return $job->refresh();
    }

    private function atProve(): Job
    {
        return $this->to($this->after($this->atFix(), 'POST', '/mends', ['fault' => 'tube-cooked', 'done' => 'New liner']), 'proof');
    }

    private function toGo(): Job
    {
        $job = $this->atFind('service');
        $job = $this->after($job, 'POST', '/faults/pass', ['reason' => 'Nothing broken: due by hours.', 'version' => $job->version]);
        $job = $this->to($job, 'proof');
        foreach (range(1, 12) as $_) {
            $proof = collect((array) $this->shop->getJson("/api/v1/jobs/{$job->id}")->json('proofs'))->firstWhere('standing', 'open');
            if ($proof === null) {
                break;
            }
            $known = $this->knowledge()->proofs[$proof['code']];
            $value = $known->unit === null ? null : (($known->least ?? 0) + ($known->most ?? ($known->least ?? 0) * 3)) / 2;
            $job = $this->after($job, 'POST', '/proofs', ['proof' => $proof['code'], 'value' => $value, 'passed' => true]);
        }

        return $this->to($job, 'release');
    }

    /**
     * @param  array<string, mixed>  $body
     * @param  array<string, mixed>  $standing
     * @return array{string, string, array<string, mixed>}
     */
    private function run(string $path, array $body, array $standing): array
    {
        $job = $this->atProve();
        $run = ProofRun::query()->create($standing + [
            'job_id' => $job->id,
            'machine_id' => $job->machine_id,
            'address' => '127.0.0.1:'.(30_000 + ++self::$count),
            'stages' => ['identify'],
            'results' => (object) [],
            'person_id' => $this->shop->lead()->id,
            'began_at' => now(),
        ]);

        return $this->of($job, 'POST', "/proof-run/{$run->id}/{$path}", $body);
    }

    private function part(int $onHand = 8, string $class = 'liner'): Part
    {
        $part = Part::query()->create([
            'number' => strtoupper(substr($class, 0, 3)).'-S'.++self::$count,
            'name' => 'Part '.self::$count,
            'class' => $class,
            'bin' => 'B'.self::$count,
        ]);
        app(MoveStock::class)->receive($part, $onHand, 120, null, $this->shop->lead());

        return $part->refresh();
    }

    private function receipt(Part $part): int
    {
        return (int) DB::table('movements')->where('part_id', $part->id)->max('id');
    }

    private function recipe(): Part
    {
        $part = $this->part();
        $this->write(
            'PUT',
            "/parts/{$part->number}/recipe",
            ['material' => 'PETG', 'grams' => 6, 'pricePerKgMinor' => 2200, 'printMinutes' => 20, 'handMinutes' => 1],
        );

        return $part;
    }

    private function donor(): Machine
    {
        $machine = $this->machine();
        $machine->update(['place' => 'donor']);

        return $machine;
    }

    private function spool(): string
    {
        $this->write('POST', '/spools', ['material' => 'PETG', 'netG' => 1000, 'emptyG' => 230]);

        return (string) DB::table('spools')->orderByDesc('id')->value('code');
    }

    private function supplier(Part $part): int
    {
        $this->write(
            'PUT',
            "/parts/{$part->number}/supply",
            ['supplier' => 'Saltworks '.++self::$count, 'leadDays' => 5, 'pack' => 5, 'packCostMinor' => 900],
        );

        return (int) DB::table('suppliers')->max('id');
    }

    private function order(): int
    {
        $part = $this->part();
        $this->write('POST', '/orders', ['supplier' => $this->supplier($part), 'packs' => [$part->number => 1], 'lessIsRight' => true]);

        return (int) DB::table('orders')->max('id');
    }

    private function paper(): int
    {
        $this->write('POST', '/families/tern-220/papers?title=Map'.++self::$count, $this->picture());

        return (int) DB::table('papers')->max('id');
    }

    private function endStocktake(): void
    {
        DB::table('stocktakes')->whereNull('ended_at')->update(['ended_at' => now(), 'ended_by' => DB::table('people')->min('id')]);
    }

    private function stocktake(): int
    {
        $this->endStocktake();
        $this->write('POST', '/stocktakes', ['bins' => '']);

        return (int) DB::table('stocktakes')->max('id');
    }

    private function last(string $table, Job $job): int
    {
        return (int) DB::table($table)->where('job_id', $job->id)->max('id');
    }

    /** @return array{raw: string, type: string} */
    private function picture(): array
    {
        $picture = imagecreatetruecolor(40, 30 + ++self::$count % 50);
        ob_start();
        imagejpeg($picture);

        return ['raw' => (string) ob_get_clean(), 'type' => 'image/jpeg'];
    }

    /** @return array{raw: string, type: string} */
    private function table(): array
    {
        self::$count++;

        return ['raw' => "number,name,class,bin\nTAB-".self::$count.",Fan,heat-break-fan,D1\n", 'type' => 'application/octet-stream'];
    }
}
