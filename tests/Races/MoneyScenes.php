<?php

declare(strict_types=1);

namespace Tests\Races;

use App\Diagnosis\Findings\JobFinding;
use App\Intake\Job;
use App\Machines\Machine;
use App\Machines\Owners\OwnerChoice;
use App\Machines\RegisterMachine;
use App\Money\Buying\Offer;
use App\Money\Claims\Claim;
use App\Money\Estimates\SentEstimate;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use OddBench\Knowledge\Knowledge;

/** The moments at which each write about money can be sent. */
final readonly class MoneyScenes
{
    /** @param  \Closure(string, string, array<string, mixed>): TestResponse<\Illuminate\Http\Response>  $send */
    public function __construct(private \Closure $send)
    {
    }

    /** @return array<string, \Closure(): array{string, string, array<string, mixed>}> route => scene */
    public function all(): array
    {
        $terms = [
            'minute' => '1.20', 'minimum' => '0', 'storageDay' => '1', 'margin' => '40', 'selling' => '15', 'idleDay' => '6',
            'markupPct' => 35, 'taxPct' => 0, 'freeDays' => 30, 'residual' => false, 'partsClaims' => true,
        ];

        return [
            'PUT money/terms' => function () use ($terms) {
                $this->write('PUT', '/money/terms', $terms);

                return ['PUT', '/money/terms', $terms];
            },
            'POST money/claims' => fn () => ['POST', '/money/claims', $this->claimed($this->found())],
            'POST money/claims/{claim}/words' => fn () => [
                'POST', "/money/claims/{$this->claim()}/words", ['saidBy' => 'they', 'text' => 'We look into it'],
            ],
            'POST money/claims/{claim}/end' => fn () => ['POST', "/money/claims/{$this->claim()}/end", ['state' => 'lost']],
            'POST money/offers' => fn () => ['POST', '/money/offers', self::sheet()],
            'PUT money/offers/{offer}' => fn () => ['PUT', "/money/offers/{$this->offer()}", [...self::sheet(), 'version' => 1]],
            'POST money/offers/{offer}/purchase' => fn () => [
                'POST', "/money/offers/{$this->offer()}/purchase", ['paid' => '100', 'serial' => Str::random(8), 'version' => 1],
            ],
            'POST money/offers/{offer}/let-go' => fn () => [
                'POST', "/money/offers/{$this->offer()}/let-go", ['because' => 'Too dear', 'version' => 1],
            ],
            'POST money/offers/{offer}/stages/{place}' => fn () => [
                'POST', "/money/offers/{$this->bought()->id}/stages/1", ['outcome' => 'passed', 'real' => '10'],
            ],
            'POST money/sales/{tag}' => function () {
                $machine = app(RegisterMachine::class)->register('tern-220', Str::random(10), 'resale', null, 5000);
                $machine->update(['place' => 'sale']);

                return ['POST', "/money/sales/{$machine->tag}", ['price' => '300']];
            },
            'POST jobs/{job}/estimates' => function () {
                $job = $this->found();

                return ['POST', "/jobs/{$job->id}/estimates", self::asked($job)];
            },
            'POST jobs/{job}/estimates/{estimate}/answer' => function () {
                $job = $this->asking();

                return ['POST', "/jobs/{$job->id}/estimates/".SentEstimate::query()->where('job_id', $job->id)->max('id').'/answer', [
                    'answer' => 'go-ahead', 'upTo' => '80', 'saidBy' => 'Nora Quist', 'way' => 'phone',
                ]];
            },
            'DELETE jobs/{job}/estimates' => fn () => ['DELETE', "/jobs/{$this->asking()->id}/estimates", ['because' => 'A favour']],
            'POST jobs/{job}/messages' => fn () => [
                'POST', "/jobs/{$this->found()->id}/messages", ['kind' => 'told', 'way' => 'phone', 'text' => 'It will take a week'],
            ],
            'POST jobs/{job}/bill' => fn () => ['POST', "/jobs/{$this->ready()->id}/bill", ['minutesOut' => 0]],
            'POST jobs/{job}/ready' => fn () => ['POST', "/jobs/{$this->ready()->id}/ready", ['way' => 'phone', 'text' => 'It is ready']],
            'POST jobs/{job}/reminders' => function () {
                $job = $this->ready();
                $this->write('POST', "/jobs/{$job->id}/ready", ['way' => 'phone', 'text' => 'It is ready']);

                return ['POST', "/jobs/{$job->id}/reminders", ['afterDays' => 14, 'way' => 'letter', 'text' => 'Please fetch it']];
            },
            'POST jobs/{job}/split' => function () {
                $job = Job::query()->where('machine_id', $this->bought()->machine_id)->firstOrFail();

                return ['POST', "/jobs/{$job->id}/split", ['version' => $job->version]];
            },
        ];
    }

    /** @param  array<string, mixed>  $body */
    private function write(string $method, string $path, array $body): void
    {
        ($this->send)($method, $path, $body)->assertOk();
    }

    /** An owner’s machine at Find, of which something is known. */
    private function found(): Job
    {
        $machine = app(RegisterMachine::class)->register('tern-220', Str::random(10), 'owner', OwnerChoice::named('Nora Quist'), null);
        $this->write(
            'POST',
            '/jobs',
            ['tag' => $machine->tag, 'kind' => 'repair', 'complaint' => 'it clicks', 'began' => 'crept-in', 'hours' => 900],
        );
        $job = Job::query()->where('machine_id', $machine->id)->firstOrFail();
        $answers = array_fill_keys(array_keys(app(Knowledge::class)->safetyQuestions), false);
        $this->write('POST', "/jobs/{$job->id}/safety-answers", ['answers' => $answers]);
        if ($job->refresh()->station->value !== 'diagnosis') {
            $this->write('POST', "/jobs/{$job->id}/station", ['to' => 'diagnosis', 'version' => $job->version]);
        }
        $this->write('POST', "/jobs/{$job->id}/findings", ['findings' => ['jams-when-warm' => true]]);

        return $job->refresh();
    }

    private function asking(): Job
    {
        $job = $this->found();
        $this->write('POST', "/jobs/{$job->id}/estimates", self::asked($job));

        return $job->refresh();
    }

    private function ready(): Job
    {
        $job = $this->found();
        $job->update(['station' => 'release', 'station_since' => now()]);

        return $job->refresh();
    }

    private function offer(): int
    {
        $this->write('POST', '/money/offers', self::sheet());

        return (int) Offer::query()->max('id');
    }

    private function bought(): Offer
    {
        $id = $this->offer();
        $this->write('POST', "/money/offers/{$id}/purchase", ['paid' => '100', 'version' => 1]);

        return Offer::query()->findOrFail($id);
    }

    private function claim(): int
    {
        $this->write('POST', '/money/claims', $this->claimed($this->found()));

        return (int) Claim::query()->max('id');
    }

    /** @return array<string, mixed> */
    private function claimed(Job $job): array
    {
        return [
            'tag' => Machine::query()->findOrFail($job->machine_id)->tag, 'job' => $job->id, 'against' => 'Osk Venn',
            'againstIs' => 'seller', 'claims' => 'money', 'what' => 'Came broken', 'worth' => '45', 'waits' => true,
        ];
    }

    /** @return array<string, mixed> */
    private static function asked(Job $job): array
    {
        return ['way' => 'phone', 'upToFinding' => (int) JobFinding::query()->where('job_id', $job->id)->max('id')];
    }

    /** @return array<string, mixed> */
    private static function sheet(): array
    {
        return [
            'family' => 'tern-220', 'seller' => 'Osk Venn', 'says' => 'Turns on', 'findings' => [], 'sells' => '300', 'parts' => '90',
            'stages' => [['name' => 'Moves', 'cost' => '12', 'passesPct' => 90, 'fallback' => '90', 'end' => 'split']],
        ];
    }
}
