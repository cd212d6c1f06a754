<?php

declare(strict_types=1);

namespace OddBench\Machines;

use OddBench\Input\InputError;

/**
 * Where a printer may be reached: on the shop's own network, which is a private address (RFC 1918, RFC 4193) or one of the link
 * (RFC 3927, RFC 4291), and never on the machine the shop runs on, whose own services listen there.
 */
final readonly class PrinterAddress
{
    private const PRIVATE = ['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16', '169.254.0.0/16', 'fc00::/7', 'fe80::/10'];

    /** Where rented machines ask about themselves, keys included: link-local, and never a printer (common practice). */
    private const METADATA = ['169.254.169.254/32', '169.254.170.2/32', 'fd00:ec2::254/128'];

    private const LOOPBACK = ['127.0.0.0/8', '0.0.0.0/8', '::1/128', '::/128', '::ffff:0:0/96'];

    /**
     * @param  string  $ip  as it was found for the name that was given
     * @param  list<string>  $own  addresses of this machine
     * @param  list<int>|null  $simulated  ports on this machine where simulated printers may listen; null for any, in tests
     *
     * @throws InputError at host
     */
    public static function judge(string $ip, int $port, array $own, ?array $simulated): void
    {
        if (self::isIn($ip, self::LOOPBACK) || in_array($ip, $own, true)) {
            if (self::isIn($ip, self::LOOPBACK) && ($simulated === null || in_array($port, $simulated, true))) {
                return;
            }
            throw InputError::at(
                'host',
                'That is the machine the shop runs on, and no printer. Give the address of the printer or its bridge.',
            );
        }
        if (self::isIn($ip, self::METADATA)) {
            throw InputError::at('host', "{$ip} is where rented servers ask about themselves, and no printer.");
        }
        if (! self::isIn($ip, self::PRIVATE)) {
            throw InputError::at(
                'host',
                "{$ip} is not on the shop’s own network: a printer is reached at an address such as "
                    .'192.168.1.40, 10.0.0.40 or 172.16.0.40.',
            );
        }
    }

    /** @param  list<string>  $ranges */
    private static function isIn(string $ip, array $ranges): bool
    {
        $packed = inet_pton($ip);
        foreach ($ranges as $range) {
            [$net, $bits] = explode('/', $range);
            $base = (string) inet_pton($net);
            if ($packed !== false && strlen($packed) === strlen($base) && self::starts($packed, $base, (int) $bits)) {
                return true;
            }
        }

        return false;
    }

    private static function starts(string $packed, string $base, int $bits): bool
    {
        $whole = intdiv($bits, 8);
        $left = $bits % 8;
        if (substr($packed, 0, $whole) !== substr($base, 0, $whole)) {
            return false;
        }
        $mask = (0xFF << (8 - $left)) & 0xFF;

        return $left === 0 || (ord($packed[$whole]) & $mask) === (ord($base[$whole]) & $mask);
    }
}
