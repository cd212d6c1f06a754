<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

use OddBench\Input\Fields;
use OddBench\Input\InputError;

/** One entry of a knowledge file while it is read; notes what is wrong with it instead of stopping at the first. */
final class Entry
{
    /** @var list<Mistake> */
    private array $mistakes = [];

    /** @var list<self> */
    private array $parts = [];

    private function __construct(public readonly string $file, public readonly string $name, private readonly Fields $fields)
    {
    }

    /** @param  string  $name  of the entry, as a mistake names it */
    public static function of(string $file, string $name, mixed $fields): self
    {
        $entry = new self($file, $name, Fields::of(is_array($fields) ? $fields : []));
        if (! is_array($fields)) {
            $entry->wrong('entry', 'must be a list of fields');
        }

        return $entry;
    }

    /** An entry inside this one; what is wrong with it is wrong with this one too. */
    public function part(string $name, mixed $fields): self
    {
        return $this->parts[] = self::of($this->file, "{$this->name}.{$name}", $fields);
    }

    /** A text that is not empty. */
    public function text(string $field, ?string $default = null): string
    {
        return $this->read($field, fn (): string => $default !== null && ! $this->fields->has($field)
            ? $default
            : $this->fields->text($field), '');
    }

    /** Words or a number, as words; none when it is missing. */
    public function words(string $field): string
    {
        return $this->read($field, fn (): string => $this->fields->words($field), '');
    }

    /** A text, or nothing when the field is not there. */
    public function textOrNull(string $field): ?string
    {
        return $this->fields->has($field) ? $this->text($field) : null;
    }

    /** A number within bounds. */
    public function number(string $field, float $least, float $most, ?float $default = null): float
    {
        return $this->read($field, fn (): float => $default !== null && ! $this->fields->has($field)
            ? $default
            : $this->fields->number($field, $least, $most), $least);
    }

    /** A number up to a million, or nothing when the field is not there. */
    public function numberOrNull(string $field): ?float
    {
        return $this->fields->has($field) ? $this->number($field, -1e6, 1e6) : null;
    }

    /** True or false; false when the field is not there. */
    public function yes(string $field): bool
    {
        return $this->read($field, fn (): bool => $this->fields->flag($field), false);
    }

    /** @return list<string> */
    public function codes(string $field): array
    {
        return $this->read($field, fn (): array => $this->fields->texts($field), []);
    }

    /**
     * As codes(), but the field must stand there, be it as an empty list: nothing is a statement too.
     *
     * @return list<string>
     */
    public function someCodes(string $field): array
    {
        if (! $this->fields->has($field)) {
            $this->wrong($field, 'must be a list, an empty one for none');
        }

        return $this->codes($field);
    }

    /** @return array<string, mixed> */
    public function map(string $field): array
    {
        return $this->read($field, fn (): array => $this->fields->map($field), []);
    }

    /** @return list<mixed> */
    public function items(string $field): array
    {
        return $this->read($field, fn (): array => $this->fields->items($field), []);
    }

    /** @return array<string, list<string>> trait => values */
    public function needs(): array
    {
        $needs = [];
        foreach ($this->map('needs') as $trait => $values) {
            $known = Traits::KNOWN[$trait] ?? null;
            if ($known === null || ! is_array($values)) {
                $this->wrong("needs.{$trait}", $known === null ? 'is no trait' : 'must be a list of values');

                continue;
            }
            foreach ($values as $value) {
                if (is_string($value) && in_array($value, $known, true)) {
                    $needs[$trait][] = $value;
                } else {
                    $this->wrong("needs.{$trait}", 'must be of '.implode(', ', $known));
                }
            }
        }

        return $needs;
    }

    /** Notes a mistake at a field. */
    public function wrong(string $field, string $message): void
    {
        $this->mistakes[] = new Mistake($this->file, $this->name, $field, $message);
    }

    /**
     * What was wrong, with the fields nobody asked for.
     *
     * @return list<Mistake>
     */
    public function mistakes(): array
    {
        $all = $this->mistakes;
        foreach ($this->fields->notAskedFor() as $field) {
            $all[] = new Mistake($this->file, $this->name, $field, 'is no field of this entry');
        }
        foreach ($this->parts as $part) {
            array_push($all, ...$part->mistakes());
        }

        return $all;
    }

    /**
     * What a reader of the field finds; where it refuses, its word is noted and reading goes on with something else.
     *
     * @template T
     *
     * @param  callable(): T  $reader
     * @param  T  $instead
     * @return T
     */
    private function read(string $field, callable $reader, mixed $instead): mixed
    {
        try {
            return $reader();
        } catch (InputError $e) {
            $words = str_starts_with($e->getMessage(), "{$e->field} ") ? substr($e->getMessage(), strlen($e->field) + 1) : $e->getMessage();
            $this->wrong($e->field, rtrim($words, '.'));

            return $instead;
        }
    }
}
