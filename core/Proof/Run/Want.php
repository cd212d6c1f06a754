<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/** What a stage waits for before it goes on. */
final readonly class Want
{
    /**
     * @param  'answer'|'time'|'person'  $kind
     * @param  float  $within  s
     * @param  list<string>  $choices
     */
    private function __construct(public string $kind, public string $text, public float $within, public array $choices = [])
    {
    }

    /** Sends a command and waits for its “ok”; the stage goes on with the lines that came before it. */
    public static function ok(string $command, float $within = 15.0): self
    {
        return new self('answer', $command, $within);
    }

    /** @param  string  $why  for who wonders why nothing happens */
    public static function time(float $seconds, string $why = ''): self
    {
        return new self('time', $why, $seconds);
    }

    /**
     * Asks the person beside the printer.
     *
     * @param  non-empty-list<string>  $choices
     */
    public static function person(string $question, array $choices): self
    {
        return new self('person', $question, INF, $choices);
    }

    /**
     * What a stage that wanted an answer got.
     *
     * @return list<string>
     */
    public static function lines(mixed $got): array
    {
        return is_array($got) ? array_values(array_filter($got, is_string(...))) : [];
    }
}
