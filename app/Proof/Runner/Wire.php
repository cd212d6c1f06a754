<?php

declare(strict_types=1);

namespace App\Proof\Runner;

/** The socket to one printer: connects without waiting, and again with growing pauses, sends what there is to send as far as it goes. */
final class Wire
{
    /** What a port there answers is nobody's business but a printer's. */
    private const UNREACHED = 'The printer cannot be reached. Is it switched on, and is the address right?';

    private const CONNECT_S = 8.0;

    /** s between two tries: the first, the longest, and how much longer each time */
    private const AGAIN_S = [0.3, 15.0, 1.7];

    private const AT_ONCE = 65_536;

    /** @var resource|null */
    private $socket = null;

    private bool $connecting = false;

    private string $unsent = '';

    private float $connectAt;

    private float $connectedBy = INF;

    private float $pause = self::AGAIN_S[0];

    public function __construct(public readonly string $address)
    {
        $this->connectAt = Clock::s();
    }

    /** @return resource|null what it listens to */
    public function socket()
    {
        return $this->connecting ? null : $this->socket;
    }

    /**
     * One look, without waiting.
     *
     * @return array{'connected'|'gone'|'bytes'|'nothing', string} what happened, with why it is gone or what came
     */
    public function look(): array
    {
        if ($this->socket === null) {
            return Clock::s() < $this->connectAt ? ['nothing', ''] : $this->connect();
        }
        $read = $this->connecting ? [] : [$this->socket];
        $write = $this->connecting ? [$this->socket] : [];
        $except = null;
        if (@stream_select($read, $write, $except, 0, 0) === false) {
            return ['nothing', ''];
        }
        if ($this->connecting) {
            return $this->connected($write !== []);
        }
        if ($read === []) {
            return ['nothing', ''];
        }
        $bytes = @fread($this->socket, self::AT_ONCE);
        if ($bytes === false || ($bytes === '' && feof($this->socket))) {
            return $this->gone('The printer closed the connection.');
        }

        return ['bytes', $bytes];
    }

    /** Goes out now as far as the printer takes it, the rest the next time. */
    public function send(string $bytes): void
    {
        $this->unsent .= $bytes;
        if ($this->socket !== null && ! $this->connecting && $this->unsent !== '') {
            $sent = @fwrite($this->socket, $this->unsent);
            $this->unsent = $sent === false ? '' : substr($this->unsent, $sent);
        }
    }

    /** Whatever was still to go out makes way for this. */
    public function sendInstead(string $bytes): void
    {
        $this->unsent = '';
        $this->send($bytes);
    }

    public function close(): void
    {
        if ($this->socket !== null) {
            @fclose($this->socket);
        }
        $this->socket = null;
        $this->connecting = false;
        $this->unsent = '';
    }

    /** @return array{'nothing'|'gone', string} */
    private function connect(): array
    {
        $socket = @stream_socket_client(
            "tcp://{$this->address}",
            $code,
            $message,
            self::CONNECT_S,
            STREAM_CLIENT_CONNECT | STREAM_CLIENT_ASYNC_CONNECT,
        );
        if ($socket === false) {
            return $this->gone(self::UNREACHED);
        }
        stream_set_blocking($socket, false);
        $this->socket = $socket;
        $this->connecting = true;
        $this->connectedBy = Clock::s() + self::CONNECT_S;

        return ['nothing', ''];
    }

    /** @return array{'connected'|'gone'|'nothing', string} */
    private function connected(bool $ready): array
    {
        if ($ready && $this->socket !== null && stream_socket_get_name($this->socket, true) !== false) {
            $this->connecting = false;
            $this->pause = self::AGAIN_S[0];

            return ['connected', ''];
        }

        return $ready || Clock::s() > $this->connectedBy
            ? $this->gone(self::UNREACHED)
            : ['nothing', ''];
    }

    /** @return array{'gone', string} */
    private function gone(string $why): array
    {
        $this->close();
        $this->connectAt = Clock::s() + $this->pause;
        $this->pause = min(self::AGAIN_S[1], $this->pause * self::AGAIN_S[2]);

        return ['gone', $why];
    }
}
