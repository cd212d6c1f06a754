<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

use Generator;

/**
 * The stages of a proof run as a state machine: fed with the time and with the lines of the printer, it says what to send. It
 * knows no socket and no clock, so a test runs hours in a second; what it sends and hears passes through its Session, which
 * watches the heat.
 */
final class Run
{
    private const SILENT_S = 30.0;

    /** Lines kept of one answer. */
    private const MOST_ANSWERED = 200;

    /** s; a command that a printer is busy with for longer has failed. */
    private const MOST_BUSY_S = 600.0;

    /** @var 'waiting'|'running'|'asking'|'passed'|'failed'|'stopped'|'lost' */
    public string $state = 'waiting';

    /**
     * @var array<string, array{passed: bool, words: string, value: float|null, rise: float|null, finding: string|null, danger: bool}> by stage
     */
    public array $results = [];

    public ?string $stage = null;

    public ?Want $want = null;

    /** What the printer said last that was no temperature. */
    public string $said = '';

    /** Whether it ended in the middle of what keeps the printer from hearing anything but an emergency stop. */
    public bool $deaf = false;

    public readonly Log $log;

    private readonly Sender $sender;

    private readonly Stages $stages;

    /** @var Generator<int, Want, mixed, Shown>|null */
    private ?Generator $work = null;

    private string $out = '';

    /** @var list<string> what came since the command was sent */
    private array $answer = [];

    private float $wantedSince = 0.0;

    private float $askedAt = 0.0;

    private float $heardAt = 0.0;

    private bool $halted = false;

    private bool $resent = false;

    /** The printer read a line of ours as something it does not know: it was garbled on the way. */
    private bool $garbled = false;

    /** @var list<string> what is sent before the next stage begins */
    private array $first = [];

    /** @var list<string> stages still to do */
    private array $left;

    /**
     * @param  float  $patience  how many times longer than usual the printer may be silent: a simulated one that runs fast stands
     *   still with its computer
     */
    public function __construct(public readonly Plan $plan, private readonly float $patience = 1.0)
    {
        $this->log = new Log;
        $this->sender = new Sender;
        $this->stages = new Stages($plan, $this->log);
        $this->left = $plan->stages;
    }

    /** The link stands. */
    public function connected(float $t): void
    {
        $this->log->now = $this->heardAt = $t;
        $this->state = 'running';
        // the first temperature is asked for, so that no stage begins without one
        $this->first = ['M155 S1', 'M105'];
        $this->out .= $this->sender->restart();
        $this->want = Want::ok('M110 N0');
        $this->wantedSince = $this->askedAt = $t;
    }

    /** What goes to the printer now. */
    public function take(): string
    {
        $out = $this->out;
        $this->out = '';

        return $out;
    }

    /** A line of the printer, and what it says of temperatures. */
    public function hear(float $t, string $line, ?Sample $sample): void
    {
        $this->log->now = $this->heardAt = $t;
        if ($sample !== null) {
            $this->log->add($sample);
        }
        if ($this->runs()) {
            $this->line($t, $line, $sample);
        }
    }

    /** Time goes on to this moment, s. */
    public function tick(float $t): void
    {
        $this->log->now = $t;
        if (! $this->runs()) {
            return;
        }
        if ($t - $this->heardAt > $this->patience * self::SILENT_S && $this->state !== 'waiting') {
            $this->end('lost', sprintf('The printer has said nothing for %.0f s.', $t - $this->heardAt));

            return;
        }
        $want = $this->want;
        if ($want?->kind === 'time' && $t - $this->wantedSince >= $want->within) {
            $this->goOn(null);
        } elseif ($want?->kind === 'answer' && $t - $this->askedAt > max($this->patience * self::MOST_BUSY_S, 5 * $want->within)) {
            $this->fail(StageFailed::because(
                "“{$want->text}” is not done after ".round(($t - $this->askedAt) / 60).' min, though the printer says that it is busy.',
                null,
            ));
        } elseif ($want?->kind === 'answer' && $t - $this->wantedSince > $this->patience * $want->within) {
            if ($this->stage === null || $t - $this->heardAt > $this->patience * $want->within) {
                // it says nothing else either: that is the link, not the machine
                $this->end('lost', sprintf('The printer has said nothing for %.0f s.', $t - $this->heardAt));
            } else {
                $this->fail(StageFailed::because("No answer to “{$want->text}” within {$want->within} s.", null));
            }
        }
    }

    /** The person beside it answers. */
    public function answer(float $t, string $answer): bool
    {
        $this->log->now = $t;
        if ($this->state !== 'asking' || $this->want === null || ! in_array($answer, $this->want->choices, true)) {
            return false;
        }
        $this->state = 'running';
        $this->goOn($answer);

        return true;
    }

    /** How long it has been waiting for a person, s. */
    public function asksFor(float $t): float
    {
        return $this->state === 'asking' ? $t - $this->wantedSince : 0.0;
    }

    /** Somebody wants it to end, or nobody is there to go on. */
    public function stop(float $t, string $why = 'Stopped by hand.'): void
    {
        $this->log->now = $t;
        if ($this->runs()) {
            $this->end('stopped', $why);
        }
    }

    /** Something dangerous was seen: the stage has failed, whatever it is about. */
    public function cut(float $t, Danger $danger): void
    {
        $this->log->now = $t;
        if ($this->runs()) {
            $this->stage ??= $this->left[0] ?? 'identify';
            $this->fail(StageFailed::because($danger->because, $danger->finding, true));
        }
    }

    /** It has ended, and a heater that was on does not go off: nothing of that is a pass. */
    public function doesNotCool(string $words, string $finding): void
    {
        if ($this->state === 'passed') {
            $stage = (string) (array_key_last($this->results) ?? $this->stage);
            $this->results[$stage] = [
                'passed' => false,
                'words' => $words,
                'value' => null,
                'rise' => null,
                'finding' => $finding,
                'danger' => true,
            ];
            $this->state = 'failed';
            $this->said = $words;
        }
    }

    /** The link is gone. */
    public function lost(float $t, string $why): void
    {
        $this->log->now = $t;
        if ($this->runs()) {
            $this->end('lost', $why);
        }
    }

    /** Whether it has not ended yet. */
    public function runs(): bool
    {
        return $this->state === 'running' || $this->state === 'asking' || $this->state === 'waiting';
    }

    private function line(float $t, string $line, ?Sample $sample): void
    {
        if (preg_match('/^Resend:\s*(\d+)/i', $line, $found) === 1) {
            $this->resend((int) $found[1]);

            return;
        }
        if (preg_match('/^ok\b/i', $line) === 1) {
            $this->acknowledged($line);

            return;
        }
        if ($sample === null && ! str_contains($line, 'busy')) {
            $this->said = $line;
        }
        if (str_contains($line, 'busy')) {
            // it lives, and works at what it was told
            $this->wantedSince = $this->want?->kind === 'answer' ? $t - min(
                $t - $this->wantedSince,
                $this->want->within * 0.9,
            ) : $this->wantedSince;
        }
        if (preg_match('/^echo:\s*Unknown command: "(.*)"$/i', $line, $found) === 1
            && $this->want?->kind === 'answer'
            && trim($found[1]) !== $this->want->text) {
            $this->garbled = true;
        }
        if (preg_match('/^Error:\s*(Filament.*)$/i', $line, $found) === 1) {
            $this->log->alarm(trim($found[1]));
        }
        if ($line === 'start' && $this->stage !== null) {
            $this->interrupted(new Halted('it started anew', true));
        } elseif (preg_match('/^Error:(?!checksum|Line Number|No Checksum|Filament)(.*)$/i', $line, $found) === 1) {
            $this->interrupted(new Halted(trim($found[1]), false));
        } elseif ($this->want?->kind === 'answer') {
            $this->answer[] = $line;
            if (count($this->answer) > 2 * self::MOST_ANSWERED) {
                // what answers stands just before the “ok”
                $this->answer = array_slice($this->answer, -self::MOST_ANSWERED);
            }
        }
    }

    private function acknowledged(string $line): void
    {
        if ($this->resent) {
            // the “ok” that goes with a request to send again
            $this->resent = false;

            return;
        }
        if ($this->want?->kind !== 'answer' || ! $this->sender->waits()) {
            return;
        }
        if ($this->garbled) {
            $this->garbled = false;
            $this->repeat($this->sender->repeat());

            return;
        }
        $this->sender->done();
        $rest = trim(substr($line, 2));
        $got = $rest === '' ? $this->answer : [...$this->answer, $rest];
        if ($this->stage !== null) {
            $this->goOn($got);
        } elseif ($this->first !== []) {
            $command = array_shift($this->first);
            $this->want = Want::ok($command);
            $this->wantedSince = $this->askedAt = $this->log->now;
            $this->out .= $this->sender->send($command);
        } else {
            $this->nextStage();
        }
    }

    private function resend(int $number): void
    {
        $again = $this->sender->again($number);
        $this->resent = $again !== null;
        $this->repeat($again);
    }

    private function repeat(?string $again): void
    {
        if ($again !== null) {
            $this->out .= $again;
        } elseif ($this->sender->stormy()) {
            $this->end('lost', 'The printer asks for the same line again and again: the link is too noisy.');
        }
    }

    /** The printer stopped itself; the stage may have been waiting for just that. */
    private function interrupted(Halted $halted): void
    {
        if ($this->halted && ! $halted->restarted) {
            return;
        }
        $this->halted = ! $halted->restarted;
        $this->sender->done();
        if ($this->work === null) {
            if (! $halted->restarted && $this->state === 'running') {
                $this->stage ??= $this->left[0] ?? null;
                $this->fail(StageFailed::because(
                    "The printer stopped by itself: {$halted->said}.",
                    str_contains($halted->said, 'TEMP') ? 'error-thermistor' : 'error-heating',
                ));
            }

            return;
        }
        try {
            $this->work->throw($halted);
            $this->takeUp();
        } catch (StageFailed $e) {
            $this->fail($e);
        } catch (Halted $e) {
            $this->fail(StageFailed::because("The printer stopped: {$e->said}.", $e->restarted ? 'restarts-itself' : 'error-heating'));
        }
    }

    private function nextStage(): void
    {
        $stage = array_shift($this->left);
        if ($stage === null) {
            $this->end('passed', '');

            return;
        }
        $this->stage = $stage;
        $this->work = $this->stages->run(RunStage::from($stage));
        try {
            $this->work->rewind();
            $this->takeUp();
        } catch (StageFailed $e) {
            $this->fail($e);
        }
    }

    /** The stage goes on with what it waited for. */
    private function goOn(mixed $got): void
    {
        try {
            $this->work?->send($got);
            $this->takeUp();
        } catch (StageFailed $e) {
            $this->fail($e);
        }
    }

    private function takeUp(): void
    {
        $work = $this->work;
        if ($work === null) {
            return;
        }
        if (! $work->valid()) {
            $shown = $work->getReturn();
            $this->results[(string) $this->stage] = [
                'passed' => true,
                'words' => $shown->words,
                'value' => $shown->value,
                'rise' => $shown->riseS,
                'finding' => null,
                'danger' => false,
            ];
            $this->work = null;
            $this->betweenStages();

            return;
        }
        $this->want = $work->current();
        $this->wantedSince = $this->askedAt = $this->log->now;
        $this->answer = [];
        if ($this->want->kind === 'answer') {
            $this->out .= $this->sender->send($this->want->text);
        }
        if ($this->want->kind === 'time' && $this->want->text !== '') {
            $this->said = $this->want->text;
        }
        $this->state = $this->want->kind === 'person' ? 'asking' : 'running';
    }

    /** A printer that stopped itself is started again before the next stage; heaters are off in between. */
    private function betweenStages(): void
    {
        if ($this->halted) {
            $this->halted = false;
            $this->first = ['M155 S1'];
            $this->out .= "M999\n".$this->sender->restart();
        } else {
            $this->out .= $this->sender->send('M105');
        }
        $this->stage = null;
        $this->want = Want::ok('M105', 60.0);
        $this->wantedSince = $this->askedAt = $this->log->now;
        $this->answer = [];
    }

    private function fail(StageFailed $e): void
    {
        $this->results[(string) $this->stage] = [
            'passed' => false,
            'words' => $e->getMessage(),
            'value' => null,
            'rise' => null,
            'finding' => $e->finding,
            'danger' => $e->danger,
        ];
        $this->end('failed', $e->getMessage());
    }

    /** @param  'passed'|'failed'|'stopped'|'lost'  $state */
    private function end(string $state, string $why): void
    {
        $this->deaf = $state !== 'passed' && $this->want?->kind === 'answer' && preg_match(
            '/^(G28|T\d)/',
            $this->want->text,
        ) === 1 && $this->sender->waits();
        $this->out = '';
        $this->state = $state;
        $this->work = null;
        $this->want = null;
        if ($why !== '') {
            $this->said = $why;
        }
    }
}
