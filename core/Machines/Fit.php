<?php

declare(strict_types=1);

namespace OddBench\Machines;

use OddBench\Input\InputError;
use OddBench\Knowledge\Family;
use OddBench\Knowledge\Knowledge;

/** What a part fits: families, positions and traits. What nothing is said of, it may fit. */
final readonly class Fit
{
    /**
     * @param  list<string>  $families  codes; none for every family
     * @param  list<string>  $positions  codes; none for every position that takes its class
     * @param  array<string, string>  $traits  trait => the value a machine must have
     */
    private function __construct(public array $families, public array $positions, public array $traits)
    {
    }

    /**
     * @param  array<array-key, mixed>  $said  families, positions and traits
     *
     * @throws InputError for a family, position or trait that is not known
     */
    public static function read(array $said, Knowledge $knowledge): self
    {
        $positions = array_merge(...array_values(array_map(
            static fn (Family $f): array => array_keys($f->positions),
            $knowledge->families,
        )));
        $traits = [];
        foreach (is_array($said['traits'] ?? null) ? $said['traits'] : [] as $trait => $value) {
            $values = array_unique(array_filter(array_map(
                static fn (Family $f): ?string => $f->traits[$trait] ?? null,
                array_values($knowledge->families),
            )));
            if ($values === []) {
                throw InputError::at('fits', "No family has a trait “{$trait}”.");
            }
            $traits[(string) $trait] = self::known(is_string($value) ? $value : '', "value of {$trait}", array_values($values));
        }

        return new self(
            self::all($said['families'] ?? [], 'family', array_keys($knowledge->families)),
            self::all($said['positions'] ?? [], 'position', array_values(array_unique($positions))),
            $traits,
        );
    }

    /** @param  array<array-key, mixed>  $kept  as it was read before */
    public static function kept(array $kept): self
    {
        $texts = static fn (mixed $list): array => array_values(array_filter(is_array($list) ? $list : [], is_string(...)));

        $traits = [];
        foreach (is_array($kept['traits'] ?? null) ? $kept['traits'] : [] as $trait => $value) {
            $traits += is_string($value) ? [(string) $trait => $value] : [];
        }

        return new self($texts($kept['families'] ?? []), $texts($kept['positions'] ?? []), $traits);
    }

    /** @param  string|null  $position  code; nothing for anywhere in it */
    public function allows(Family $family, ?string $position = null): bool
    {
        foreach ($this->traits as $trait => $value) {
            if (isset($family->traits[$trait]) && $family->traits[$trait] !== $value) {
                return false;
            }
        }

        return ($this->families === [] || in_array($family->code, $this->families, true))
            && ($position === null || $this->positions === [] || in_array($position, $this->positions, true));
    }

    /** @return array{families: list<string>, positions: list<string>, traits: array<string, string>} */
    public function toArray(): array
    {
        return ['families' => $this->families, 'positions' => $this->positions, 'traits' => $this->traits];
    }

    /**
     * @param  list<string>  $known
     * @return list<string>
     */
    private static function all(mixed $said, string $what, array $known): array
    {
        return array_values(array_unique(array_map(
            static fn (mixed $code): string => self::known(is_string($code) ? $code : '', $what, $known),
            is_array($said) ? $said : [],
        )));
    }

    /** @param  list<string>  $known */
    private static function known(string $code, string $what, array $known): string
    {
        return in_array($code, $known, true) ? $code : throw InputError::unknown('fits', $what, $code, $known);
    }
}
