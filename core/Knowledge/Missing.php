<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** What is wrong across knowledge files, and codes that are nowhere. */
final class Missing
{
    /** @var list<Mistake> */
    private array $mistakes = [];

    /** @return list<Mistake> */
    public function mistakes(): array
    {
        return $this->mistakes;
    }

    /**
     * @param  list<string>  $codes
     * @param  array<string, mixed>  $known
     */
    public function exist(string $file, string $entry, string $field, array $codes, array $known): void
    {
        foreach ($codes as $code) {
            if (! isset($known[$code])) {
                $this->wrong($file, $entry, $field, "there is no “{$code}”");
            }
        }
    }

    public function wrong(string $file, string $entry, string $field, string $message): void
    {
        $this->mistakes[] = new Mistake($file, $entry, $field, $message);
    }
}
