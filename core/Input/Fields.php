<?php

declare(strict_types=1);

namespace OddBench\Input;

use DateTimeImmutable;

/**
 * Reads a decoded JSON object strictly: every key must be asked for, every value must have its type and range.
 * Call done() at the end; it refuses what nobody asked for.
 */
final class Fields
{
    use ReadsLists;

    /** Lists longer than this are no input of a bench, unless somebody asks for more. */
    private const MOST_ITEMS = 10_000;

    /** @var array<string, true> */
    private array $asked = [];

    /** @param  array<array-key, mixed>  $values */
    private function __construct(private readonly array $values, private readonly string $path)
    {
    }

    /**
     * @param  array<array-key, mixed>  $values  decoded JSON
     * @param  string  $path  the name of the object inside a larger one, for messages
     */
    public static function of(array $values, string $path = ''): self
    {
        return new self($values, $path);
    }

    /** Whether a key is there and not null; it counts as asked for. */
    public function has(string $key): bool
    {
        $this->asked[$key] = true;

        return array_key_exists($key, $this->values) && $this->values[$key] !== null;
    }

    /**
     * A finite number in a range.
     *
     * @param  string  $unit  for the message, e.g. “mm”
     *
     * @throws InputError when it is missing, no number, not finite or out of the range
     */
    public function number(string $key, int|float $least, int|float $most, string $unit = ''): float
    {
        return $this->checkedNumber($this->name($key), $this->required($key), $least, $most, $unit);
    }

    /** @throws InputError as number(), but a missing value is null */
    public function numberOrNull(string $key, int|float $least, int|float $most, string $unit = ''): ?float
    {
        return $this->has($key) ? $this->number($key, $least, $most, $unit) : null;
    }

    /**
     * A number in a range, or 0 for none of it: what lies between is no measure of anything.
     *
     * @throws InputError as number()
     */
    public function numberOrNone(string $key, int|float $least, int|float $most, string $unit = ''): float
    {
        $value = $this->number($key, 0, $most, $unit);
        if ($value > 0 && $value < $least) {
            throw InputError::at(
                $this->name($key),
                "{$this->name($key)} must be 0, or from {$least} to {$most}".($unit === '' ? '' : " {$unit}").", not {$value}.",
            );
        }

        return $value;
    }

    /** @throws InputError when it is missing, no whole number or out of the range */
    public function whole(string $key, int|float $least, int|float $most, string $unit = ''): int
    {
        $value = $this->number($key, $least, $most, $unit);
        if ($value !== floor($value)) {
            throw InputError::at($this->name($key), "{$this->name($key)} must be a whole number, not {$value}.");
        }

        return (int) $value;
    }

    /** @throws InputError as whole(), but a missing value is null */
    public function wholeOrNull(string $key, int|float $least, int|float $most, string $unit = ''): ?int
    {
        return $this->has($key) ? $this->whole($key, $least, $most, $unit) : null;
    }

    /** @throws InputError when it is missing, no text or empty */
    public function text(string $key): string
    {
        $value = $this->required($key);
        if (! is_string($value) || trim($value) === '') {
            throw InputError::at($this->name($key), "{$this->name($key)} must be a text.");
        }

        return $value;
    }

    /**
     * A moment as ISO 8601 writes it: a day, which begins at midnight UTC, or a day and time with its zone.
     *
     * @throws InputError when it is missing or no such moment
     */
    public function moment(string $key): DateTimeImmutable
    {
        return Moment::read($this->text($key), $this->name($key));
    }

    /**
     * Words or a number, as words; nothing when it is missing or empty.
     *
     * @throws InputError when it is something else
     */
    public function words(string $key): string
    {
        $value = $this->has($key) ? $this->values[$key] : '';

        return match (true) {
            is_int($value), is_float($value) => (string) $value,
            $value === '' => '',
            default => $this->text($key),
        };
    }

    /**
     * @param  non-empty-list<string>  $choices
     *
     * @throws InputError when it is none of the choices
     */
    public function choice(string $key, array $choices, ?string $default = null): string
    {
        if ($default !== null && ! $this->has($key)) {
            return $default;
        }
        $value = $this->text($key);
        if (! in_array($value, $choices, true)) {
            throw InputError::at(
                $this->name($key),
                "{$this->name($key)} must be one of ".implode(', ', $choices).', not “'.mb_strcut(mb_scrub($value), 0, 60).'”.',
            );
        }

        return $value;
    }

    /**
     * An object inside this one; an absent one reads as empty.
     *
     * @return array<string, mixed>
     *
     * @throws InputError when it is no object
     */
    public function map(string $key): array
    {
        if (! $this->has($key)) {
            return [];
        }
        $value = $this->values[$key];
        if (! is_array($value) || ($value !== [] && array_is_list($value))) {
            throw InputError::at($this->name($key), "{$this->name($key)} must be an object of names and values.");
        }
        $map = [];
        foreach ($value as $name => $item) {
            $map[(string) $name] = $item;
        }

        return $map;
    }

    /**
     * An object inside this one, to be read strictly; an absent one reads as empty. Call done() on it too.
     *
     * @throws InputError when it is no object
     */
    public function object(string $key): self
    {
        return new self($this->map($key), $this->name($key));
    }

    /**
     * The contents of a file: whoever called opened it, core opens none.
     *
     * @throws InputError when it is missing or only a name
     */
    public function contents(string $key): Contents
    {
        $value = $this->required($key);

        return $value instanceof Contents ? $value : throw InputError::at(
            $this->name($key),
            "{$this->name($key)} must be a file that was opened for this.",
        );
    }

    /** @throws InputError when it is there and neither true nor false */
    public function flag(string $key): bool
    {
        if (! $this->has($key)) {
            return false;
        }
        if (! is_bool($this->values[$key])) {
            throw InputError::at($this->name($key), "{$this->name($key)} must be true or false.");
        }

        return $this->values[$key];
    }

    /** @throws InputError when a key was given that nobody asked for */
    public function done(): void
    {
        foreach ($this->notAskedFor() as $key) {
            throw InputError::unknown($this->name($key), 'field', $key, array_keys($this->asked));
        }
    }

    /** @return list<string> keys that were given and that nobody asked for */
    public function notAskedFor(): array
    {
        return array_values(array_filter(
            array_map(strval(...), array_keys($this->values)),
            fn (string $key): bool => ! isset($this->asked[$key]),
        ));
    }

    private function required(string $key): mixed
    {
        if (! $this->has($key)) {
            throw InputError::at($this->name($key), "{$this->name($key)} is missing.");
        }

        return $this->values[$key];
    }

    private function checkedNumber(string $name, mixed $value, int|float $least, int|float $most, string $unit): float
    {
        if (! is_int($value) && ! is_float($value)) {
            throw InputError::at($name, "{$name} must be a number.");
        }
        $value = (float) $value;
        $unit = $unit === '' ? '' : " {$unit}";
        if (! is_finite($value) || $value < $least || $value > $most) {
            throw InputError::at(
                $name,
                "{$name} must be from {$least} to {$most}{$unit}, not ".(is_finite($value) ? "{$value}." : 'a number without end.'),
            );
        }

        return $value;
    }

    private function name(string $key): string
    {
        return $this->path === '' ? $key : "{$this->path}.{$key}";
    }
}
