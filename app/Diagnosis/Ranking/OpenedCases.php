<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Session;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;

/** The cases that were looked at last: the same case is judged once in a request, whatever was written around it. */
final class OpenedCases
{
    private const KEPT = 4;

    /** @var array<string, Session> the case as it was put => its session, the latest last */
    private array $sessions = [];

    public function __construct(private readonly Knowledge $knowledge)
    {
    }

    /**
     * @param  array<string, mixed>  $input  what `compute diagnose` would be given
     *
     * @throws InputError when it is no case
     */
    public function open(array $input): Session
    {
        $key = hash('xxh128', serialize($input));
        $session = $this->sessions[$key] ?? Session::open(CaseFile::read($input, $this->knowledge), $this->knowledge);
        unset($this->sessions[$key]);
        $this->sessions[$key] = $session;
        if (count($this->sessions) > self::KEPT) {
            array_shift($this->sessions);
        }

        return $session;
    }
}
