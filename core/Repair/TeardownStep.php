<?php

declare(strict_types=1);

namespace OddBench\Repair;

/** One thing that was taken off while a machine was opened. */
final readonly class TeardownStep
{
    /**
     * @param  string  $off  what came off
     * @param  list<FastenersOut>  $fasteners  one for each size
     * @param  list<string>  $connectors  names of the sockets it was unplugged from
     * @param  list<string>  $parts  parts that were taken out in this step
     * @param  list<string>  $after  steps that had to be done before this one could: they wait for it on the way back
     * @param  list<string>  $before  steps that wait for this one on the way back whatever the way out was (roller before belt)
     * @param  string|null  $undoFirst  what is slackened or taken away before it goes back on
     * @param  string|null  $firstPass  how it goes on at first, e.g. all in, finger-tight
     * @param  string|null  $secondPass  how it is finished, e.g. evenly, snug
     * @param  string|null  $check  what must hold before the next, e.g. still turns, sits flush
     */
    public function __construct(
        public string $id,
        public string $off,
        public array $fasteners = [],
        public array $connectors = [],
        public array $parts = [],
        public array $after = [],
        public array $before = [],
        public ?string $wayRound = null,
        public ?string $caution = null,
        public ?string $undoFirst = null,
        public ?string $firstPass = null,
        public ?string $secondPass = null,
        public ?string $check = null,
    ) {
    }

    /** The fasteners of one size that came out in this step; nothing when none did. */
    public function out(string $size): ?FastenersOut
    {
        foreach ($this->fasteners as $fasteners) {
            if ($fasteners->size->name === $size) {
                return $fasteners;
            }
        }

        return null;
    }

    /** @return array<string, int> size => places for it, those empty on opening among them */
    public function places(): array
    {
        $places = [];
        foreach ($this->fasteners as $fasteners) {
            $places[$fasteners->size->name] = $fasteners->count + $fasteners->missing;
        }

        return $places;
    }
}
