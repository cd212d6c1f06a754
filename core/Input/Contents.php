<?php

declare(strict_types=1);

namespace OddBench\Input;

use Closure;

/** What is in a file, handed over in pieces by whoever opened it; it can be read again from the start. */
final readonly class Contents
{
    /** @param  Closure(): iterable<string>  $pieces */
    private function __construct(private Closure $pieces)
    {
    }

    /** @param  Closure(): iterable<string>  $pieces  gives all of it each time it is called */
    public static function of(Closure $pieces): self
    {
        return new self($pieces);
    }

    /** Bytes that are in memory. */
    public static function text(string $bytes): self
    {
        return new self(static fn (): array => [$bytes]);
    }

    /** @return iterable<string> */
    public function pieces(): iterable
    {
        return ($this->pieces)();
    }

    /** @throws InputError when there is more than so much */
    public function bytes(int $most, string $field): string
    {
        $bytes = '';
        foreach ($this->pieces() as $piece) {
            $bytes .= $piece;
            if (strlen($bytes) > $most) {
                throw InputError::at(
                    $field,
                    sprintf('The file is larger than %d MB; take the part that matters.', intdiv($most, 1024 * 1024)),
                );
            }
        }

        return $bytes;
    }

    /**
     * Line by line, without holding more than one piece; each without its line end. Of a line longer than so many bytes only
     * the first of them are given, and one more, so that it shows.
     *
     * @return iterable<int, string> number from 1 on => line
     */
    public function lines(int $longest = PHP_INT_MAX - 1): iterable
    {
        $number = 0;
        $rest = '';
        foreach ($this->pieces() as $piece) {
            for ($at = 0, $length = strlen($piece); $at < $length;) {
                $end = strpos($piece, "\n", $at);
                $part = substr($piece, $at, min($end === false ? $length - $at : $end - $at, $longest + 1 - strlen($rest)));
                $rest = $rest === '' ? $part : $rest.$part;
                if ($end === false) {
                    break;
                }
                yield ++$number => rtrim($rest, "\r");
                $rest = '';
                $at = $end + 1;
            }
        }
        if ($rest !== '') {
            yield ++$number => rtrim($rest, "\r");
        }
    }
}
