<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use OddBench\Knowledge\Knowledge;

/** A part is made known. */
final readonly class AddPart
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function add(string $number, string $name, string $class, string $bin, string $words = ''): Part
    {
        return Part::query()->create([
            'number' => $number,
            'name' => $name,
            'class' => $this->knowledge->partClass($class),
            'bin' => mb_strtoupper($bin),
            'words' => $words,
        ]);
    }
}
