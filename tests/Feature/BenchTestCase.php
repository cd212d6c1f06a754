<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\BookIn;
use App\Intake\Booking;
use App\Intake\Job;
use App\Machines\Machine;
use App\Machines\Owners\OwnerChoice;
use App\Machines\RegisterMachine;
use App\Shop\Person;
use App\Shop\Role;
use App\Stock\Parts\Part;
use App\Stock\Shelf\MoveStock;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use OddBench\Intake\Began;
use OddBench\Intake\JobKind;
use OddBench\Knowledge\Knowledge;

/** A small shop on real PostgreSQL: people, a machine, a part, and how to speak to the API. */
abstract class BenchTestCase extends TestCase
{
    use RefreshDatabase;

    /** The console’s output is not mocked, so that no mocking library is needed. */
    public $mockConsoleOutput = false;

    private int $people = 0;

    private bool $comesIn = false;

    public function createApplication(): Application
    {
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        $app->make(\Illuminate\Contracts\Console\Kernel::class)->bootstrap();

        return $app;
    }

    /** Whoever acts has just come in, also when days have passed: how long a session lasts is a test of its own. */
    public function be(Authenticatable $user, $guard = null)
    {
        $this->comesIn = true;

        return parent::be($user, $guard);
    }

    /**
     * @param  array<mixed>  $parameters
     * @param  array<mixed>  $cookies
     * @param  array<mixed>  $files
     * @param  array<mixed>  $server
     * @return TestResponse<\Illuminate\Http\Response>
     */
    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null)
    {
        if ($this->comesIn) {
            // where sessions cannot be reached the request itself says so
            rescue(fn () => $this->session(['sitting.began' => now()->getTimestamp()]), report: false);
        }

        return parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
    }

    protected function person(Role $role = Role::Technician): Person
    {
        $this->people++;

        return Person::query()->create([
            'login' => "{$role->value}{$this->people}",
            'name' => ucfirst($role->value)." {$this->people}",
            'role' => $role,
            'password' => 'a-long-secret',
        ]);
    }

    protected function machine(string $family = 'tern-220', string $heldAs = 'farm'): Machine
    {
        return $this->app->make(RegisterMachine::class)->register(
            $family,
            Str::random(8),
            $heldAs,
            $heldAs === 'owner' ? OwnerChoice::named('Ines Halloran') : null,
            null,
        );
    }

    protected function job(?Machine $machine = null, ?Person $by = null, ?float $hours = 1200.0): Job
    {
        return $this->app->make(BookIn::class)->book(
            $machine ?? $this->machine(),
            new Booking(JobKind::Repair, 'It clicks', Began::CreptIn, $hours),
            $by ?? $this->person(),
        );
    }

    protected function part(int $onHand = 3, string $class = 'liner', string $number = 'LIN-1'): Part
    {
        $part = Part::query()->create(['number' => $number, 'name' => 'Liner 4/2 mm', 'class' => $class, 'bin' => 'C4']);
        if ($onHand > 0) {
            $this->app->make(MoveStock::class)->receive($part, $onHand, 120, null, $this->person(Role::Counter));
        }

        return $part->refresh();
    }

    /**
     * A write as the page sends it.
     *
     * @param  array<string, mixed>  $body
     * @return TestResponse<\Illuminate\Http\Response>
     */
    protected function send(string $method, string $path, array $body = [], ?string $key = null): TestResponse
    {
        $headers = [
            'CONTENT_TYPE' => 'application/json',
            'HTTP_ACCEPT' => 'application/json',
            'HTTP_IDEMPOTENCY_KEY' => $key ?? (string) Str::uuid(),
        ];

        return $this->call($method, "/api/v1{$path}", [], [], [], $headers, $body === [] ? '' : (string) json_encode($body));
    }

    /**
     * Refused, with the message at the field.
     *
     * @param  TestResponse<\Illuminate\Http\Response>  $response
     */
    protected function assertRefused(TestResponse $response, int $status, string $field, string $words): void
    {
        $response->assertStatus($status);
        self::assertStringStartsWith('application/problem+json', (string) $response->headers->get('Content-Type'));
        $errors = array_column((array) $response->json('errors'), 'message', 'field');
        self::assertArrayHasKey($field, $errors, (string) $response->getContent());
        self::assertStringContainsString($words, implode(' ', array_column((array) $response->json('errors'), 'message')));
    }

    /** Walks a job to Find. */
    protected function atFind(Job $job): void
    {
        $this->safe($job);
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'diagnosis', 'version' => $job->refresh()->version])->assertOk();
    }

    /** Walks a job to Fix with a confirmed fault. */
    protected function atFix(Job $job, string $fault = 'tube-cooked'): void
    {
        $this->atFind($job);
        $this->send(
            'POST',
            "/jobs/{$job->id}/findings",
            ['findings' => ['jams-when-warm' => true, 'hot-material-used' => true]],
        )->assertOk();
        $this->send('POST', "/jobs/{$job->id}/faults", ['faults' => [$fault], 'version' => $job->refresh()->version])->assertOk();
    }

    /** Walks a job to Prove, the fault mended. */
    protected function atProve(Job $job, string $fault = 'tube-cooked'): void
    {
        $this->atFix($job, $fault);
        $this->send('POST', "/jobs/{$job->id}/mends", ['fault' => $fault, 'done' => 'Done as the guide says'])->assertOk();
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'proof', 'version' => $job->refresh()->version])->assertOk();
    }

    /** Passes every proof the job owes. */
    protected function proveAll(Job $job): void
    {
        $proofs = (array) $this->getJson("/api/v1/jobs/{$job->id}")->json('proofs');
        for ($i = 0; $i < 40; $i++) {
            $proof = collect($proofs)->firstWhere('standing', 'open');
            if ($proof === null) {
                return;
            }
            $known = $this->app->make(Knowledge::class)->proofs[$proof['code']];
            $value = $known->unit === null ? null : (($known->least ?? 0) + ($known->most ?? ($known->least ?? 0) * 3)) / 2;
            // what a write answers is what the screen then shows
            $proofs = (array) $this->send(
                'POST',
                "/jobs/{$job->id}/proofs",
                ['proof' => $proof['code'], 'value' => $value, 'passed' => true],
            )->assertOk()->json('proofs');
        }
    }

    protected function safe(Job $job): void
    {
        $answers = array_fill_keys(array_keys($this->app->make(Knowledge::class)->safetyQuestions), false);
        $this->send('POST', "/jobs/{$job->id}/safety-answers", ['answers' => $answers])->assertOk();
    }
}
