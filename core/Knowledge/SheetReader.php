<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Sheets that hold names or figures by their code, not entries. */
final class SheetReader
{
    /** @var list<Mistake> */
    private array $mistakes = [];

    /** @param  array<string, mixed>  $files  path below the knowledge folder => decoded content */
    public function __construct(private readonly array $files)
    {
    }

    /** @return list<Mistake> in what was read so far */
    public function mistakes(): array
    {
        return $this->mistakes;
    }

    public function bench(): BenchFigures
    {
        $entry = Entry::of('bench.yaml', '-', $this->files['bench.yaml'] ?? null);
        $figures = new BenchFigures(
            reach: $this->minutes($entry, 'minutes_to_reach', State::cases()),
            prove: $this->minutes($entry, 'minutes_to_prove', Stage::cases()),
            comeback: $entry->number('comeback_minutes', 0, 1000),
            redTagFrom: $entry->number('red_tag_from', 0.01, 1),
            catalogueJobs: $entry->number('catalogue_jobs', 1, 10_000),
            waitingDay: $entry->number('waiting_day_minutes', 0, 500),
            waitingDays: $entry->number('waiting_days', 0, 100),
            usuallyTold: [$entry->number('usually_told', 0, 0.99, 0.4), $entry->codes('usually_told_of')],
            dig: $entry->number('dig_minutes', 1, 1000, 60),
            proveAlone: $this->minutes($entry, 'minutes_alone_to_prove', Stage::cases()),
        );
        array_push($this->mistakes, ...$entry->mistakes());

        return $figures;
    }

    /**
     * @return array<string, list<string>>
     */
    public function alike(): array
    {
        $entry = Entry::of('words.yaml', '-', $this->files['words.yaml'] ?? null);
        $alike = [];
        foreach (array_keys(is_array($this->files['words.yaml'] ?? null) ? $this->files['words.yaml'] : []) as $name) {
            $alike[(string) $name] = $entry->codes((string) $name);
        }
        array_push($this->mistakes, ...$entry->mistakes());

        return $alike;
    }

    /**
     * @return array<string, float>
     */
    public function prices(): array
    {
        $entry = Entry::of('prices.yaml', '-', $this->files['prices.yaml'] ?? null);
        $prices = [];
        foreach (array_keys(is_array($this->files['prices.yaml'] ?? null) ? $this->files['prices.yaml'] : []) as $class) {
            $prices[(string) $class] = $entry->number((string) $class, 0, 10_000);
        }
        array_push($this->mistakes, ...$entry->mistakes());

        return $prices;
    }

    /**
     * @param  list<\BackedEnum>  $cases
     * @return array<string, float>
     */
    private function minutes(Entry $page, string $field, array $cases): array
    {
        $entry = Entry::of($page->file, $field, $page->map($field));
        $minutes = [];
        foreach ($cases as $case) {
            $minutes[(string) $case->value] = $entry->number((string) $case->value, 0, 240);
        }
        array_push($this->mistakes, ...$entry->mistakes());

        return $minutes;
    }

    /**
     * @return array<string, string>
     */
    public function names(string $file): array
    {
        $entry = Entry::of($file, '-', $this->files[$file] ?? null);
        $names = [];
        foreach (array_keys(is_array($this->files[$file] ?? null) ? $this->files[$file] : []) as $code) {
            $names[(string) $code] = $entry->text((string) $code);
        }
        array_push($this->mistakes, ...$entry->mistakes());

        return $names;
    }
}
