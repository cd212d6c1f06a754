<?php

declare(strict_types=1);

namespace OddBench\Input;

/** The lists of an object that is read strictly. */
trait ReadsLists
{
    /**
     * A list of texts; an absent one reads as empty.
     *
     * @return list<string>
     *
     * @throws InputError when it is no list or holds something else
     */
    public function texts(string $key, int $most = self::MOST_ITEMS): array
    {
        if (! $this->has($key)) {
            return [];
        }
        $texts = [];
        foreach ($this->listAt($key, $most) as $i => $item) {
            if (! is_string($item) || trim($item) === '') {
                throw InputError::at("{$this->name($key)}.{$i}", "{$this->name($key)}.{$i} must be a text.");
            }
            $texts[] = $item;
        }

        return $texts;
    }

    /**
     * A list of anything; an absent one reads as empty.
     *
     * @return list<mixed>
     *
     * @throws InputError when it is no list
     */
    public function items(string $key, int $most = self::MOST_ITEMS): array
    {
        return $this->has($key) ? $this->listAt($key, $most) : [];
    }

    /**
     * A list of at least one number.
     *
     * @return non-empty-list<float>
     *
     * @throws InputError when it is missing, empty or holds something else
     */
    public function numbers(string $key, int|float $least, int|float $most, string $unit = ''): array
    {
        $this->required($key);
        $numbers = $this->numbersOrNone($key, $least, $most, $unit);
        if ($numbers === []) {
            throw InputError::at($this->name($key), "{$this->name($key)} is empty; give at least one value.");
        }

        return $numbers;
    }

    /**
     * A list of numbers; an absent one reads as empty.
     *
     * @return list<float>
     *
     * @throws InputError when it is no list or holds something else
     */
    public function numbersOrNone(string $key, int|float $least, int|float $most, string $unit = ''): array
    {
        $numbers = [];
        foreach ($this->has($key) ? $this->listAt($key) : [] as $i => $item) {
            $numbers[] = $this->checkedNumber("{$this->name($key)}.{$i}", $item, $least, $most, $unit);
        }

        return $numbers;
    }

    /**
     * A list of at least one pair of numbers.
     *
     * @return non-empty-list<array{float, float}>
     *
     * @throws InputError when it is missing, empty or holds something else
     */
    public function pairs(string $key, int|float $least, int|float $most, string $unit = ''): array
    {
        $this->required($key);
        $pairs = [];
        foreach ($this->listAt($key) as $i => $item) {
            $name = "{$this->name($key)}.{$i}";
            if (! is_array($item) || ! array_is_list($item) || count($item) !== 2) {
                throw InputError::at($name, "{$name} must be two numbers.");
            }
            $pairs[] = [
                $this->checkedNumber("{$name}.0", $item[0], $least, $most, $unit),
                $this->checkedNumber("{$name}.1", $item[1], $least, $most, $unit),
            ];
        }
        if ($pairs === []) {
            throw InputError::at($this->name($key), "{$this->name($key)} is empty; give at least one pair.");
        }

        return $pairs;
    }

    /**
     * A list of objects, each to be read strictly; an absent one reads as empty.
     *
     * @return list<self>
     *
     * @throws InputError when it is no list of objects
     */
    public function objects(string $key, int $most = self::MOST_ITEMS): array
    {
        $objects = [];
        foreach ($this->has($key) ? $this->listAt($key, $most) : [] as $i => $item) {
            if (! is_array($item) || ($item !== [] && array_is_list($item))) {
                throw InputError::at("{$this->name($key)}.{$i}", "{$this->name($key)}.{$i} must be an object of names and values.");
            }
            $objects[] = new self($item, "{$this->name($key)}.{$i}");
        }

        return $objects;
    }

    /** @return list<mixed> */
    private function listAt(string $key, int $most = self::MOST_ITEMS): array
    {
        $value = $this->values[$key];
        if (! is_array($value) || ! array_is_list($value)) {
            throw InputError::at($this->name($key), "{$this->name($key)} must be a list.");
        }
        if (count($value) > $most) {
            throw InputError::at(
                $this->name($key),
                sprintf('%s holds %d; up to %d are taken at once.', $this->name($key), count($value), $most),
            );
        }

        return $value;
    }
}
