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
        $this->assertDoesNotMatchRegularExpression('/^set-cookie/im', $headers, 'Who is not signed in leaves no session.');
        $this->assertMatchesRegularExpression('/^strict-transport-security: max-age=\d+/im', $headers);
        [$status, $headers] = $this->get('https', '/', '--cacert '.escapeshellarg(self::$var.'/cert.pem'));
        $this->assertSame([200, 0], [$status, preg_match('/^set-cookie/im', $headers)]);
        [, $said] = OnInstance::run('tls', 'setup_code');
        [$status, , $body] = $this->send('/api/setup', [
            'code' => trim((string) end($said)), 'organisation' => 'Tarn Rescue', 'time_zone' => 'Europe/London', 'currency' => 'GBP', 'length_unit' => 'cm',
            'mass_unit' => 'g', 'volume_unit' => 'ml', 'people_kept_days' => 365, 'with_catalogue' => false,
            'name' => 'Ada Fell', 'email' => 'ada@tarn.example', 'password' => 'seven kind lanterns',
        ]);
        $this->assertSame(201, $status, $body);
        [$status, $headers] = $this->send('/api/session', ['email' => 'ada@tarn.example', 'password' => 'seven kind lanterns']);
        $this->assertSame(200, $status);
        $this->assertMatchesRegularExpression('/^set-cookie: sarcina_session=.*; secure;/im', $headers);
    }

    public function test_more_from_one_address_than_is_answered_at_once_is_refused_in_words(): void
    {
        $env = (string) file_get_contents(self::$var.'/.env');
        file_put_contents(self::$var.'/.env', $env."REQUESTS_PER_SECOND=1\n");
        try {
            OnInstance::run('tls', 'start_server');
            $answers = [];
            for ($asked = 0; $asked < 12 && ! isset($answers[429]); $asked++) {
                [$status, $headers, $body] = $this->get('https', '/api/session', '--cacert '.escapeshellarg(self::$var.'/cert.pem'));
                $answers[$status] = [$headers, $body];
            }
            $this->assertSame([200, 429], array_keys($answers));
            $this->assertMatchesRegularExpression('#^content-type: application/problem\+json#im', $answers[429][0]);
            $this->assertStringContainsString('Wait a few seconds', json_decode($answers[429][1], true)['detail']);
        } finally {
            file_put_contents(self::$var.'/.env', $env);
            OnInstance::run('tls', 'start_server');
        }
    }

    public function test_a_proxy_is_believed_only_where_it_is_named(): void
    {
        $from = '198.18.'.random_int(1, 250).'.'.random_int(1, 250);
        $asked = '--cacert '.escapeshellarg(self::$var.'/cert.pem').' -H "Host: kits.tarn.example"';
        $this->assertSame(421, $this->get('https', '/api/session', $asked)[0], 'No name of this instance.');
        $env = (string) file_get_contents(self::$var.'/.env');
        try {
            file_put_contents(self::$var.'/.env', $env."PUBLIC_URL=https://kits.tarn.example\n");
            OnInstance::run('tls', 'start_server');
            $this->assertSame(200, $this->get('https', '/api/session', $asked)[0]);
            $this->failFrom($from, $asked);
            $this->assertStringNotContainsString($from, $this->securityLog());
            file_put_contents(self::$var.'/.env', $env."PUBLIC_URL=https://kits.tarn.example\nTRUSTED_PROXIES=127.0.0.1\n");
            OnInstance::run('tls', 'start_server');
            $this->failFrom($from, $asked);
            $this->assertStringContainsString($from, $this->securityLog());
        } finally {
            file_put_contents(self::$var.'/.env', $env);
            OnInstance::run('tls', 'start_server');
        }
    }

    private function failFrom(string $address, string $asked): void
    {
        $body = json_encode(['email' => 'ada@tarn.example', 'password' => 'another password']);
        $this->assertSame(422, $this->get('https', '/api/session', $asked." -H 'X-Forwarded-For: {$address}' -H 'X-CSRF-TOKEN: page' -H 'Content-Type: application/json' -d ".escapeshellarg((string) $body))[0]);
    }

    private function securityLog(): string
    {
        return implode('', array_map(file_get_contents(...), glob(self::$var.'/storage/logs/security-*.log') ?: []));
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array{int, string, string} status, headers, body
     */
    private function send(string $path, array $body): array
    {
        return $this->get('https', $path, '--cacert '.escapeshellarg(self::$var.'/cert.pem').' -H "X-CSRF-TOKEN: page" -H "Content-Type: application/json" -d '.escapeshellarg((string) json_encode($body)));
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
