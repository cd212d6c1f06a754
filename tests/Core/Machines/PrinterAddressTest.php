<?php

declare(strict_types=1);

namespace Tests\Core\Machines;

use OddBench\Input\InputError;
use OddBench\Machines\PrinterAddress;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Ranges as RFC 1918, 3927, 4193 and 4291 give them, at both their ends. */
final class PrinterAddressTest extends TestCase
{
    #[TestWith(['10.0.0.0'])]
    #[TestWith(['10.255.255.255'])]
    #[TestWith(['172.16.0.0'])]
    #[TestWith(['172.31.255.255'])]
    #[TestWith(['192.168.0.0'])]
    #[TestWith(['192.168.255.255'])]
    #[TestWith(['169.254.1.1'])]
    #[TestWith(['fd12:3456::1'])]
    #[TestWith(['fe80::1'])]
    #[TestWith(['febf::1'])]
    public function test_private_addresses_may_be_printers(string $ip): void
    {
        PrinterAddress::judge($ip, 80, ['192.168.7.7'], []);
        $this->addToAssertionCount(1);
    }

    #[TestWith(['9.255.255.255'])]
    #[TestWith(['11.0.0.0'])]
    #[TestWith(['172.15.255.255'])]
    #[TestWith(['172.32.0.0'])]
    #[TestWith(['192.167.255.255'])]
    #[TestWith(['192.169.0.0'])]
    #[TestWith(['8.8.8.8'])]
    #[TestWith(['2001:db8::1'])]
    #[TestWith(['fec0::1'])]
    public function test_others_may_not(string $ip): void
    {
        $this->expectException(InputError::class);
        $this->expectExceptionMessage('not on the shop’s own network');
        PrinterAddress::judge($ip, 80, [], []);
    }

    #[TestWith(['169.254.169.254'])]
    #[TestWith(['169.254.170.2'])]
    #[TestWith(['fd00:ec2::254'])]
    public function test_where_rented_servers_ask_about_themselves_is_no_printer(string $ip): void
    {
        $this->expectException(InputError::class);
        $this->expectExceptionMessage('no printer');
        PrinterAddress::judge($ip, 80, [], []);
    }

    #[TestWith(['127.0.0.1'])]
    #[TestWith(['127.255.255.255'])]
    #[TestWith(['0.0.0.0'])]
    #[TestWith(['::1'])]
    #[TestWith(['::ffff:127.0.0.1'])]
    #[TestWith(['::ffff:192.168.1.4'])]
    #[TestWith(['192.168.7.7'])]
    public function test_the_shops_own_machine_is_no_printer(string $ip): void
    {
        $this->expectException(InputError::class);
        $this->expectExceptionMessage('the machine the shop runs on');
        PrinterAddress::judge($ip, 8431, ['192.168.7.7'], [8641]);
    }

    public function test_simulated_printers_are_reached_by_their_own_ports(): void
    {
        PrinterAddress::judge('127.0.0.1', 8641, [], [8641]);
        PrinterAddress::judge('127.0.0.1', 9999, [], null);
        $this->expectException(InputError::class);
        PrinterAddress::judge('192.168.7.7', 8641, ['192.168.7.7'], [8641]);
    }
}
