<?php

declare(strict_types=1);

namespace Tests\Served;

use PHPUnit\Framework\TestCase;
use Tests\Support\OnInstance;

/** Beyond this machine by TLS alone: here on loopback, with a certificate made for the test. */
final class TlsTest extends TestCase
{
    private static string $var;

    public static function setUpBeforeClass(): void
    {
        self::$var = dirname(__DIR__, 2).'/var/tls';
        @mkdir(self::$var, 0o700, true);
        exec('openssl req -x509 -newkey rsa:2048 -nodes -days 2 -subj /CN=127.0.0.1 -addext subjectAltName=IP:127.0.0.1 '.
            '-keyout '.escapeshellarg(self::$var.'/key.pem').' -out '.escapeshellarg(self::$var.'/cert.pem').' 2>&1', $said, $exit);
        self::assertSame(0, $exit, implode("\n", $said));
        file_put_contents(self::$var.'/listen', 'listen=127.0.0.1 cert='.self::$var.'/cert.pem key='.self::$var."/key.pem\n");
        [$exit, $said] = OnInstance::run('tls', 'begin_empty');
        self::assertSame(0, $exit, implode("\n", $said));
    }

    public static function tearDownAfterClass(): void
    {
        OnInstance::run('tls', 'stop_server', 'stop_database');
    }

    public function test_it_answers_by_tls_with_a_cookie_that_goes_by_tls_alone(): void
    {
        [$status, $headers, $body] = $this->get('https', '/api/session', '--cacert '.escapeshellarg(self::$var.'/cert.pem'));
        $this->assertSame(200, $status);
        $this->assertStringContainsString('"needs_setup":true', $body);
        $this->assertMatchesRegularExpression('/^set-cookie: sarcina_session=.*; secure;/im', $headers);
        $this->assertMatchesRegularExpression('/^strict-transport-security: max-age=\d+/im', $headers);
        [$status] = $this->get('https', '/', '--cacert '.escapeshellarg(self::$var.'/cert.pem'));
        $this->assertSame(200, $status);
    }

    public function test_without_tls_nothing_is_served_there(): void
    {
        [$status, $headers, $body] = $this->get('http', '/api/session');
        $this->assertSame(302, $status);
        $this->assertMatchesRegularExpression('#^location: https://127\.0\.0\.1:\d+/api/session#im', $headers);
        $this->assertStringNotContainsString('csrf', $body);
    }

    public function test_who_asks_for_an_address_beyond_this_machine_without_a_certificate_is_refused(): void
    {
        foreach ([
            'start --own --listen 192.0.2.7' => 'served by TLS alone',
            'start --listen 192.0.2.7' => 'its passwords are known',
            'start --own --listen 192.0.2.7 --cert /none.pem --key /none.pem' => 'cannot be read',
            'reset --own' => 'reset never touches your own organisation',
        ] as $command => $says) {
            $said = [];
            exec(escapeshellarg(dirname(__DIR__, 2).'/bin/sarcina')." {$command} 2>&1", $said, $exit);
            $this->assertSame(64, $exit, $command);
            $this->assertStringContainsString($says, implode("\n", $said));
        }
    }

    /** @return array{int, string, string} status, headers, body */
    private function get(string $scheme, string $path, string $with = ''): array
    {
        $port = trim((string) file_get_contents(self::$var.'/port'));
        exec("curl -sS -i {$with} {$scheme}://127.0.0.1:{$port}{$path} 2>&1", $lines, $exit);
        $this->assertSame(0, $exit, implode("\n", $lines));
        [$headers, $body] = [...explode("\n\n", str_replace("\r", '', implode("\n", $lines)), 2), ''];
        $this->assertSame(1, preg_match('#^HTTP/\S+ (\d+)#', $headers, $status));

        return [(int) $status[1], $headers, $body];
    }
}
