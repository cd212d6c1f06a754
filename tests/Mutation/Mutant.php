<?php

declare(strict_types=1);

namespace Tests\Mutation;

/** One small change to one file. */
final readonly class Mutant
{
    /** @param  string  $what  the change in words, such as “< becomes <=” */
    public function __construct(
        public string $file,
        public int $line,
        public string $what,
        private int $from,
        private int $to,
        private string $instead,
    ) {
    }

    /** The file with the change in it. */
    public function of(string $source): string
    {
        return substr($source, 0, $this->from).$this->instead.substr($source, $this->to + 1);
    }

    public function text(): string
    {
        return "{$this->file}:{$this->line}  {$this->what}";
    }
}
