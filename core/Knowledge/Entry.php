<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** One entry of a knowledge file while it is read; notes what is wrong with it instead of stopping at the first. */
final class Entry
{
    /** @var list<Mistake> */
    private array $mistakes = [];

    /** @var array<string, true> */
    private array $asked = [];

    /** @var list<self> */
    private array $parts = [];

    /** @param  array<array-key, mixed>  $fields */
    private function __construct(public readonly string $file, public readonly string $name, private readonly array $fields)
    {
    }

    public static function of(string $file, string $name, mixed $fields): self
    {
        $entry = new self($file, $name, is_array($fields) ? $fields : []);
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

    public function text(string $field, ?string $default = null): string
    {
        $value = $this->value($field);
        if ($value === null && $default !== null) {
            return $default;
        }
        if (! is_string($value) || trim($value) === '') {
            $this->wrong($field, 'must be a text');

            return '';
        }

        return $value;
    }

    /** Words or a number, as words; none when it is missing. */
    public function words(string $field): string
    {
        $value = $this->value($field);
        if (is_int($value) || is_float($value)) {
            return (string) $value;
        }

        return $value === null || $value === '' ? '' : $this->text($field);
    }

    public function textOrNull(string $field): ?string
    {
        return $this->value($field) === null ? null : $this->text($field);
    }

    public function number(string $field, float $least, float $most, ?float $default = null): float
    {
        $value = $this->value($field) ?? $default;
        if ((! is_int($value) && ! is_float($value)) || $value < $least || $value > $most) {
            $this->wrong($field, "must be a number from {$least} to {$most}");

            return $least;
        }

        return (float) $value;
    }

    public function numberOrNull(string $field): ?float
    {
        return $this->value($field) === null ? null : $this->number($field, -1e6, 1e6);
    }

    public function yes(string $field): bool
    {
        $value = $this->value($field) ?? false;
        if (! is_bool($value)) {
            $this->wrong($field, 'must be true or false');

            return false;
        }

        return $value;
    }

    /** @return list<string> */
    public function codes(string $field): array
    {
        $value = $this->value($field) ?? [];
        if (! is_array($value) || ! array_is_list($value)) {
            $this->wrong($field, 'must be a list');

            return [];
        }
        $codes = [];
        foreach ($value as $code) {
            if (is_string($code)) {
                $codes[] = $code;
            } else {
                $this->wrong($field, 'must be a list of texts');
            }
        }

        return $codes;
    }

    /**
     * As codes(), but the field must stand there, be it as an empty list: nothing is a statement too.
     *
     * @return list<string>
     */
    public function someCodes(string $field): array
    {
        if ($this->value($field) === null) {
            $this->wrong($field, 'must be a list, an empty one for none');
        }

        return $this->codes($field);
    }

    /** @return array<string, mixed> */
    public function map(string $field): array
    {
        $value = $this->value($field) ?? [];
        if (! is_array($value) || ($value !== [] && array_is_list($value))) {
            $this->wrong($field, 'must be names and values');

            return [];
        }
        $map = [];
        foreach ($value as $key => $item) {
            $map[(string) $key] = $item;
        }

        return $map;
    }

    /** @return list<mixed> */
    public function items(string $field): array
    {
        $value = $this->value($field) ?? [];
        if (! is_array($value) || ! array_is_list($value)) {
            $this->wrong($field, 'must be a list');

            return [];
        }

        return $value;
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
        foreach (array_keys($this->fields) as $field) {
            if (! isset($this->asked[(string) $field])) {
                $all[] = new Mistake($this->file, $this->name, (string) $field, 'is no field of this entry');
            }
        }

        foreach ($this->parts as $part) {
            array_push($all, ...$part->mistakes());
        }

        return $all;
    }

    private function value(string $field): mixed
    {
        $this->asked[$field] = true;

        return $this->fields[$field] ?? null;
    }
}
