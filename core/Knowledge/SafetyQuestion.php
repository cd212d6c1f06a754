<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** A statement of danger at Make safe; a yes puts the red tag on and is the finding named. */
final readonly class SafetyQuestion
{
    /**
     * @param  bool  $measured  nobody knows it without measuring: not checked until somebody did
     * @param  list<string>  $words  what a customer may say that raises it
     */
    public function __construct(
        public string $code,
        public string $ask,
        public string $finding,
        public bool $measured = false,
        public array $words = [],
    ) {
    }
}
