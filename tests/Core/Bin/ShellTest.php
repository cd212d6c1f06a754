<?php

declare(strict_types=1);

namespace Tests\Core\Bin;

use PHPUnit\Framework\TestCase;

/** The parts of the one command that root relies on, each tried with what somebody with a service's rights could put in its way. */
final class ShellTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/odd-bench-shell-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        exec('rm -rf '.escapeshellarg($this->folder));
    }

    public function test_ports_are_numbers_and_nothing_is_run_that_stands_beside_them(): void
    {
        file_put_contents(
            "{$this->folder}/ports",
            "WEB_PORT=8420\nDB_PORT=\$(touch {$this->folder}/ran)\nPATH=/nowhere\nDB_PORT=8431; touch {$this->folder}/ran\nRIG_PORT_1=8641\nRIG_PORT_2=123456\n\$(touch {$this->folder}/ran)\n",
        );
        $said = $this->shell(
            'ETC="$1"; unset WEB_PORT DB_PORT; read_ports; echo "$WEB_PORT|${DB_PORT:-none}|$RIG_PORT_1|${RIG_PORT_2:-none}|$PATH"',
        );

        self::assertStringStartsWith('8420|none|8641|none|', $said);
        self::assertStringNotContainsString('/nowhere', $said);
        self::assertFileDoesNotExist("{$this->folder}/ran");
    }

    public function test_the_bar_says_what_is_left_of_what_was_expected(): void
    {
        $said = $this->shell(
            'expect "Page packages" 30; expect Page 10; bar_begin; bar_left; echo; : >"$BAR/done.Page packages"; bar_left; echo; '
            .'printf "%s\\n" "$SECONDS" >"$BAR/runs.Page"; SECONDS=$((SECONDS + 60)); bar_left; echo; bar_end; in_words 95; in_words 40',
        );

        // what takes longer than usual has a moment left, never nothing and never less
        self::assertSame(['40 0', '10 75', '2 95', '2 min40 s'], explode("\n", trim($said)));
    }

    public function test_settings_are_what_they_may_be_and_nothing_is_run_that_stands_beside_them(): void
    {
        file_put_contents(
            "{$this->folder}/settings",
            "LAN=1\nHOST=bench.local; touch {$this->folder}/ran\nBACKUP_KEY=\$(touch {$this->folder}/ran)\nBACKUP_TO=/mnt/disk\nPATH=/nowhere\n",
        );
        $said = $this->shell('ETC="$1"; read_settings; echo "$LAN|${HOST:-none}|${BACKUP_KEY:-none}|$BACKUP_TO|$PATH"');
        self::assertStringStartsWith('1|none|none|/mnt/disk|', $said);
        self::assertStringNotContainsString('/nowhere', $said);
        self::assertFileDoesNotExist("{$this->folder}/ran");
        foreach (['Bench', '-x', 'a..b;', 'x y', '$(id)'] as $host) {
            self::assertSame('no', $this->shell('is_host '.escapeshellarg($host).' && echo yes || echo no'), $host);
        }
    }

    public function test_the_authority_of_a_shop_speaks_for_it_and_for_private_addresses_alone(): void
    {
        $said = $this->shell(
            'ETC="$1"; WEB_USER="$(id -un)"; mkdir -p "$1/tls"; LAN=1; HOST=bench.local; WEB_PORT=8440; TRUST_PORT=8441; certificate_up >/dev/null 2>&1; '
            .'openssl verify -CAfile "$1/tls/authority.crt" "$1/tls/site.crt" | sed "s/.*: //"; '
            // a certificate for somebody else, signed with the shop\'s own key
            .'openssl req -new -newkey rsa:2048 -nodes -keyout "$1/k" -subj /CN=bank.example -out "$1/r" 2>/dev/null; '
            .'printf "subjectAltName=DNS:bank.example\n" >"$1/x"; openssl x509 -req -in "$1/r" -CA "$1/tls/authority.crt" -CAkey "$1/tls/authority.key" -set_serial 2 -extfile "$1/x" -out "$1/c" 2>/dev/null; '
            .'openssl verify -CAfile "$1/tls/authority.crt" "$1/c" 2>&1 | grep -o "permitted subtree violation" | head -n 1 || true; stat -c %a "$1/tls/site.key" "$1/tls/authority.key"; '
            .'first="$(authority_print)"; HOST=other.local; certificate_up >/dev/null 2>&1; [ "$first" = "$(authority_print)" ] && echo same; openssl x509 -noout -checkhost other.local -in "$1/tls/site.crt"',
        );
        self::assertSame("OK\npermitted subtree violation\n600\n600\nsame\nHostname other.local does match certificate", trim($said));
    }

    public function test_a_file_with_a_secret_is_readable_by_nobody_else_from_its_first_byte(): void
    {
        // whoever writes it takes their time, and the user's own mask lets everybody read
        $said = $this->shell(
            'umask 000; { printf half; sleep 0.4; printf whole; } | keep root: 600 "$1/secret" & sleep 0.2; stat -c %a "$1/secret.new"; wait; stat -c %a "$1/secret"; cat "$1/secret"',
        );
        self::assertSame("600\n600\nhalfwhole", trim($said));
    }

    public function test_each_environment_file_is_its_users_own(): void
    {
        $said = $this->shell(
            'umask 000; ETC="$1"; STATE="$1"; WORK_USER="$(id -un)"; WEB_USER="$WORK_USER"; WEB_PORT=1; DB_PORT=2; read_settings; make_secrets; write_environment; stat -c %a "$1/secrets" "$1/.env" "$1/.env.web"',
        );
        self::assertSame("600\n600\n600", trim($said));
        self::assertMatchesRegularExpression('/^DB_PASSWORD=[0-9a-f]{40}$/m', (string) file_get_contents("{$this->folder}/.env"));
    }

    public function test_a_folder_is_never_made_through_somebodys_link(): void
    {
        symlink('/etc', "{$this->folder}/log");
        self::assertStringContainsString('is a link', $this->shell('folder "$(id -un):" 700 "$1/log"'));
    }

    public function test_a_package_that_is_there_is_never_called_missing(): void
    {
        // a list that is longer than what “grep -q” reads before it hangs up
        $said = $this->shell(
            'php() { printf "xml\n"; head -c 300000 /dev/zero | tr "\0" "x"; printf "\nlast\n"; }; PHP_MODULES="$(php -m)"; for i in $(seq 1 40); do has_php xml || echo missing; done; has_php last && has_php lasting || echo "no lasting"',
        );
        self::assertSame('no lasting', trim($said));
    }

    public function test_a_step_stops_at_the_first_thing_that_fails_and_says_so(): void
    {
        $said = $this->shell('work() { false; echo went on; }; step "Work" work; echo went on');
        self::assertStringContainsString('Work failed.', $said);
        self::assertStringNotContainsString('went on', $said);
    }

    public function test_a_process_that_only_has_the_number_is_left_alone(): void
    {
        // the number of a killed master, given to somebody else's process since: its group is another one
        $said = $this->shell(
            'sleep 20 >/dev/null 2>&1 9>&- & other=$!; printf "%s\n" "$other" >"$1/php.group"; "$ROOT/bin/lib/launch.sh" "$1/php.group" /bin/true; kill -0 "$other" && echo alive; kill "$other"',
        );
        self::assertStringContainsString('alive', $said);
    }

    public function test_workers_a_killed_master_left_behind_are_ended_before_it_starts_again(): void
    {
        $master = "{$this->folder}/master";
        copy('/bin/bash', $master);
        chmod($master, 0755);
        $said = $this->shell(
            'alive() { [ -e "/proc/$1" ] && ! grep -q "^State:.Z" "/proc/$1/status"; }; setsid "$1/master" -c "\"$1/master\" -c \"sleep 20; :\" & echo \$! >$1/worker; wait" >/dev/null 2>&1 9>&- & sleep 0.3; worker="$(cat "$1/worker")"; group="$(ps -o pgid= -p "$worker" | tr -d " ")"; kill -KILL "$group"; sleep 0.2; alive "$worker" && echo left; printf "%s\n" "$group" >"$1/group"; "$ROOT/bin/lib/launch.sh" "$1/group" "$1/master" -c :; sleep 0.2; alive "$worker" || echo ended',
        );
        self::assertStringEndsWith("left\nended", trim($said));
    }

    private function shell(string $commands): string
    {
        $root = dirname(__DIR__, 3);
        $script = 'set -euo pipefail; ROOT='.escapeshellarg($root)
            .'; for part in say settings network place packages config services; do . "$ROOT/bin/lib/$part.sh"; done; '.$commands;
        exec('bash -c '.escapeshellarg($script).' shell '.escapeshellarg($this->folder).' 2>&1', $said);

        return implode("\n", $said);
    }
}
