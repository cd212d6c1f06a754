<?php

declare(strict_types=1);

namespace OddBench\Rig;

use RuntimeException;

/** Puts a simulated printer on a TCP port: what any serial-to-network bridge would offer. */
final class Server
{
    /** Bytes a client may have unread before it is let go. */
    private const MOST_UNREAD = 1_048_576;

    /** @var resource */
    private $listening;

    /** @var array<int, resource> */
    private array $clients = [];

    /** @var array<int, string> */
    private array $unread = [];

    private float $began;

    private bool $turned = false;

    private ?float $hotSince = null;

    /**
     * @param  float  $speed  simulated seconds for each real one
     * @param  Hostile|null  $hostile  how it goes wrong once it is told to heat
     */
    public function __construct(
        private readonly Printer $printer,
        string $host,
        int $port,
        private readonly float $speed = 1.0,
        private readonly ?Hostile $hostile = null,
    ) {
        $listening = @stream_socket_server("tcp://{$host}:{$port}", $code, $message);
        if ($listening === false) {
            throw new RuntimeException("Port {$port} on {$host} cannot be used: {$message}. Choose another.");
        }
        stream_set_blocking($listening, false);
        $this->listening = $listening;
        $this->began = self::clock();
    }

    /** s on a clock that nobody sets */
    private static function clock(): float
    {
        return hrtime(true) / 1e9;
    }

    public function port(): int
    {
        $name = (string) stream_socket_get_name($this->listening, false);

        return (int) substr($name, (int) strrpos($name, ':') + 1);
    }

    /** Lets everybody go and listens no more. */
    public function close(): void
    {
        array_map($this->drop(...), array_keys($this->clients));
        fclose($this->listening);
    }

    /** One round: reads what came, lets time go by, sends what is to be said. Waits up to a tenth of a second. */
    public function serve(): void
    {
        $read = [$this->listening, ...$this->clients];
        $write = $except = null;
        if (@stream_select($read, $write, $except, 0, (int) (100_000 / max(1.0, $this->speed))) === false) {
            return;
        }
        foreach ($read as $stream) {
            $stream === $this->listening ? $this->accept() : $this->listen($stream);
        }
        $this->printer->advance((self::clock() - $this->began) * $this->speed);
        $said = $this->printer->take();
        $hostile = $this->isHostile();
        $said = $hostile?->said($said) ?? $said;
        if ($hostile === Hostile::Closes && $this->clients !== []) {
            array_map($this->drop(...), array_keys($this->clients));
        }
        foreach ($this->clients as $id => $client) {
            $this->unread[$id] .= $said;
            $this->send($id, $client);
        }
    }

    private function accept(): void
    {
        $client = @stream_socket_accept($this->listening, 0);
        if ($client !== false) {
            stream_set_blocking($client, false);
            $this->clients[(int) $client] = $client;
            $this->unread[(int) $client] = '';
        }
    }

    /** @param  resource  $client */
    private function listen($client): void
    {
        $bytes = @fread($client, 65_536);
        if ($bytes === false || ($bytes === '' && feof($client))) {
            $this->drop((int) $client);

            return;
        }
        // somebody at the bench, not at the wire: “@air hotend”, “@air bed”, “@air off”; “@target” below
        if (preg_match('/^@air (hotend|bed|off)\s*$/', $bytes, $found) === 1) {
            $this->printer->coolAir($found[1] !== 'off', $found[1] === 'off' ? 'hotend' : $found[1]);

            return;
        }
        if (trim($bytes) === '@target') {
            // what its own screen shows, whatever it says on the wire
            @fwrite($client, sprintf("%.1f\n", $this->printer->hotendTarget()));

            return;
        }
        $this->printer->receive($this->isHostile()?->heard($bytes) ?? $bytes);
    }

    /** It turns on whoever it speaks with once its hot end is told to heat, and stays so. */
    private function isHostile(): ?Hostile
    {
        $this->turned = $this->turned || ($this->hostile !== null && $this->printer->hotendTarget() > 0);

        // a bridge that closes does so while it is hot; then it lets in who switches off
        return $this->turned
            && ($this->hostile !== Hostile::Closes || $this->printer->hotendTarget() > 0 && self::clock() - $this->hotSince() < 3.0)
            ? $this->hostile
            : null;
    }

    private function hotSince(): float
    {
        return $this->hotSince ??= self::clock();
    }

    /** @param  resource  $client */
    private function send(int $id, $client): void
    {
        if ($this->unread[$id] === '') {
            return;
        }
        $sent = @fwrite($client, $this->unread[$id]);
        if ($sent === false || strlen($this->unread[$id]) > self::MOST_UNREAD) {
            $this->drop($id);

            return;
        }
        $this->unread[$id] = substr($this->unread[$id], $sent);
    }

    private function drop(int $id): void
    {
        if (isset($this->clients[$id])) {
            @fclose($this->clients[$id]);
        }
        unset($this->clients[$id], $this->unread[$id]);
    }
}
