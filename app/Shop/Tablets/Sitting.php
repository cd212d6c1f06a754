<?php

declare(strict_types=1);

namespace App\Shop\Tablets;

use App\Shop\Person;
use App\Shop\Setting;
use Illuminate\Contracts\Session\Session;
use Illuminate\Support\Facades\Auth;

/**
 * One session on one device: how long it lasts, and whether others use the device too. It begins with a password and ends twelve
 * hours later, whoever is there. On a shared tablet who is there may change by PIN, and nobody is after some minutes of rest.
 */
final readonly class Sitting
{
    public const HOURS = 12;

    private const SHARED = 'sitting.shared';

    private const BEGAN = 'sitting.began';

    private const SEEN = 'sitting.seen';

    /** What is noted of the last touch is this much too early at most, so that looking writes little. */
    private const SEEN_EVERY_S = 60;

    public function __construct(private Session $session)
    {
    }

    /** Somebody came in with a password: a new session, so that one that was known before is worth nothing. */
    public function begin(Person $person, bool $shared): void
    {
        Auth::login($person);
        $this->session->regenerate();
        $this->session->put([self::SHARED => $shared, self::BEGAN => now()->getTimestamp(), self::SEEN => now()->getTimestamp()]);
    }

    /** Somebody else takes a shared tablet over. */
    public function passTo(Person $person): void
    {
        $kept = [self::SHARED => true, self::BEGAN => $this->session->get(self::BEGAN), self::SEEN => now()->getTimestamp()];
        Auth::login($person);
        $this->session->regenerate();
        $this->session->put($kept);
    }

    /** Nobody is there; the tablet stays known until its twelve hours are over. */
    public function lock(): void
    {
        $kept = [self::SHARED => true, self::BEGAN => $this->session->get(self::BEGAN)];
        Auth::logout();
        $this->session->flush();
        $this->session->regenerate(true);
        $this->session->put($kept);
    }

    public function end(): void
    {
        Auth::logout();
        $this->session->invalidate();
        $this->session->regenerateToken();
    }

    public function isShared(): bool
    {
        return $this->session->get(self::SHARED) === true && ! $this->isOver();
    }

    public function isOver(): bool
    {
        $began = $this->session->get(self::BEGAN);

        return is_int($began) && now()->getTimestamp() - $began >= self::HOURS * 3600;
    }

    public function hasRested(): bool
    {
        $seen = $this->session->get(self::SEEN);

        return $this->isShared()
            && is_int($seen)
            && now()->getTimestamp() - $seen >= 60 * Setting::whole('idle_minutes') + self::SEEN_EVERY_S;
    }

    /** Somebody's hand was on it. One that began before its beginning was kept begins now. */
    public function touch(): void
    {
        if (! is_int($this->session->get(self::BEGAN))) {
            $this->session->put(self::BEGAN, now()->getTimestamp());
        }
        if ($this->session->get(self::SHARED) !== true) {
            return;
        }
        $seen = $this->session->get(self::SEEN);
        if (! is_int($seen) || now()->getTimestamp() - $seen >= self::SEEN_EVERY_S) {
            $this->session->put(self::SEEN, now()->getTimestamp());
        }
    }
}
