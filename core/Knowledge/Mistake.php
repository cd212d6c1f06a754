<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Something wrong in a knowledge file: the file, the entry, the field and what would be right. */
final readonly class Mistake
{
    public function __construct(public string $file, public string $entry, public string $field, public string $message)
    {
    }

    /** Where it stands and what is wrong, in one line. */
    public function text(): string
    {
        return "{$this->file}: {$this->entry}: {$this->field}: {$this->message}";
    }
}
