<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Session\DatabaseSessionHandler;

/** Sessions in the database that are written when something in them changed, and else once a minute: looking writes nothing. */
final class QuietSessions extends DatabaseSessionHandler
{
    private const SEEN_EVERY_S = 60;

    private ?string $read = null;

    private int $seen = 0;

    public function read($sessionId): string
    {
        $session = (object) $this->getQuery()->find($sessionId);
        $this->exists = isset($session->payload);
        $this->seen = (int) ($session->last_activity ?? 0);
        $this->read = ! $this->exists || $this->expired($session) ? '' : (string) base64_decode((string) $session->payload, true);

        return $this->read;
    }

    public function write($sessionId, $data): bool
    {
        if ($this->exists && $data === $this->read && $this->currentTime() - $this->seen < self::SEEN_EVERY_S) {
            return true;
        }

        return parent::write($sessionId, $data);
    }
}
