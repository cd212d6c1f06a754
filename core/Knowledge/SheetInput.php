<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** One thing an instrument asks for. */
final readonly class SheetInput
{
    public const KINDS = ['number', 'choice', 'text', 'numbers', 'pairs', 'points', 'screws', 'file'];

    /**
     * @param  string  $key  with a dot inside an object
     * @param  list<string>  $choices
     */
    public function __construct(
        public string $key,
        public string $label,
        public string $unit,
        public string $kind,
        public string $start,
        public bool $optional,
        public array $choices,
        public string $accept,
    ) {
    }
}
