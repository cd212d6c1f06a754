<?php

declare(strict_types=1);

namespace App\Proof\Runner;

use App\Proof\Run\HeatState;
use RuntimeException;
use Throwable;

/**
 * All links of this shop: takes up what is ordered, switches off first what a process before it left hot, and tells every screen
 * what is hot, in a file the web server gives out by itself. It asks no database.
 */
final class Prover
{
    private const LOOKS_S = 0.2;

    private const TELLS_S = 1.0;

    /** @var array<int, Link> by run */
    private array $links = [];

    private float $lookedAt = -INF;

    private float $toldAt = -INF;

    private bool $toldNothing = false;

    /** @var resource|null */
    private $lock = null;

    public function __construct(private readonly RunFiles $files, private readonly float $speed = 1.0)
    {
    }

    /** Only one of these speaks with printers. */
    public function only(): bool
    {
        $this->lock ??= @fopen(
            "{$this->files->folder}/prover.lock",
            'c',
        ) ?: throw new RuntimeException("{$this->files->folder} cannot be written.");

        return flock($this->lock, LOCK_EX | LOCK_NB);
    }

    public function busy(): bool
    {
        return $this->links !== [];
    }

    /** One round over everything there is to do. */
    public function turn(bool $takeUp = true): void
    {
        if ($takeUp && Clock::s() - $this->lookedAt > self::LOOKS_S) {
            $this->lookedAt = Clock::s();
            $this->takeUp();
        }
        foreach ($this->links as $run => $link) {
            try {
                if (! $link->turn()) {
                    $this->done($run);
                }
            } catch (Throwable $e) {
                Quietly::log($e);
            }
        }
        $this->tell();
    }

    /** Until a printer says something, or for a moment. */
    public function rest(): void
    {
        $read = array_filter(array_map(static fn (Link $link) => $link->socket(), $this->links), is_resource(...));
        $write = $except = null;
        if ($read === [] || @stream_select($read, $write, $except, 0, 20_000) === false) {
            usleep($this->links === [] ? 100_000 : 20_000);
        }
    }

    /** The process is asked to go. */
    public function leave(float $within): void
    {
        foreach ($this->links as $run => $link) {
            try {
                $link->leave($within);
                if ($link->lingers()) {
                    unset($this->links[$run]);
                }
            } catch (Throwable $e) {
                Quietly::log($e);
            }
        }
        // what is not seen to cool yet stays told: a screen that hears nothing newer for a while says that it may be on
        $this->toldAt = -INF;
        $this->tell();
        $this->links = [];
    }

    private function takeUp(): void
    {
        foreach ($this->files->runs('order') as $run) {
            $order = isset($this->links[$run]) ? null : $this->files->read($run, 'order');
            if ($order === null || ! is_string($order['host'] ?? null) || ! is_int($order['port'] ?? null)) {
                continue;
            }
            $said = $this->files->read($run, 'said');
            if (($said['ended'] ?? false) === true && ! HeatState::mayBeOn($said['heat'] ?? '')) {
                $this->done($run);

                continue;
            }
            foreach ($this->links as $other => $link) {
                if ($link->address() === "{$order['host']}:{$order['port']}") {
                    if ($link->lingers()) {
                        $this->done($other);
                    } else {
                        continue 2;
                    }
                }
            }
            try {
                $this->links[$run] = new Link($run, $order, $said, $this->files, $this->speed);
            } catch (Throwable $e) {
                Quietly::log($e);
            }
        }
    }

    /** Nothing more is said of it: who carries it to the database may clear its files away. */
    private function done(int $run): void
    {
        unset($this->links[$run]);
        $this->files->write($run, 'done', []);
    }

    private function tell(): void
    {
        if (Clock::s() - $this->toldAt < self::TELLS_S || ($this->links === [] && $this->toldNothing)) {
            return;
        }
        $this->toldAt = Clock::s();
        try {
            RunFiles::whole(
                "{$this->files->folder}/heat.json",
                (string) json_encode([
                    'at' => gmdate('c'),
                    'printers' => array_values(array_map(static fn (Link $link): array => $link->heat(), $this->links)),
                ]),
                false,
            );
            $this->toldNothing = $this->links === [];
        } catch (Throwable) {
            // a page that hears nothing new for a while says so itself
        }
    }
}
