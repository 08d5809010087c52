<?php

declare(strict_types=1);

namespace Tests\Served;

use Database\Seeders\DemoSeeder;

final class SecurityTest extends ServedTestCase
{
    public function test_the_program_its_description_and_what_it_runs_on_are_not_told(): void
    {
        $client = new Client($this->url());
        foreach (['/index.php', '/index.php/api/session', '/build/../index.php', '/x.php'] as $path) {
            $answer = $client->get($path);
            $this->assertSame(404, $answer['status'], $path);
            $this->assertStringNotContainsString('<?php', (string) json_encode($answer['body']));
        }
        $this->assertSame(401, $client->get('/api/openapi.json')['status']);
        $this->assertSame(401, $client->get('/api/floor')['status']);
        $up = $client->get('/up');
        $this->assertSame([200, ['status' => 'up']], [$up['status'], $up['body']]);
        $this->assertStringContainsString('nosniff', $client->get('/schemas/sarcina.lists-1.json')['headers']);
    }

    public function test_bodies_are_limited_where_they_arrive(): void
    {
        $client = new Client($this->url());
        $this->assertSame(413, $client->post('/api/session', ['email' => str_repeat('a', 300_000), 'password' => 'x'])['status']);
        $this->assertSame(422, $client->post('/api/session', ['email' => 'nobody@quillhaven.example', 'password' => 'x'])['status']);
    }

    public function test_the_page_allows_no_inline_script_and_cookies_are_out_of_reach(): void
    {
        $headers = strtolower((new Client($this->url()))->get('/')['headers']);
        preg_match('/content-security-policy: (.*)/', $headers, $policy);
        $this->assertStringContainsString("script-src 'self';", $policy[1]);
        $this->assertStringNotContainsString('unsafe', $policy[1]);
        $this->assertStringContainsString("frame-ancestors 'none'", $policy[1]);
        foreach (['x-content-type-options: nosniff', 'x-frame-options: deny', 'referrer-policy: same-origin', 'permissions-policy: '] as $header) {
            $this->assertStringContainsString($header, $headers);
        }
        $this->assertStringNotContainsString('x-powered-by', $headers);
        $this->assertStringNotContainsString('set-cookie', $headers);
        $client = new Client($this->url());
        $entered = strtolower($client->post('/api/session', ['email' => 'member@quillhaven.example', 'password' => DemoSeeder::PASSWORD])['headers']);
        $this->assertSame(1, preg_match_all('/set-cookie: (.*)/', $entered, $cookies));
        $this->assertStringContainsString('httponly', $cookies[1][0]);
        $this->assertStringContainsString('samesite=strict', $cookies[1][0]);
    }

    public function test_who_only_asks_for_the_page_gets_no_session(): void
    {
        $sessions = fn (): int => $this->number('SELECT COUNT(*) FROM sessions');
        $before = $sessions();
        $client = new Client($this->url());
        $this->assertSame(200, $client->get('/')['status']);
        $this->assertSame(200, $client->get('/kits/QH-01')['status']);
        $this->assertSame(422, $client->post('/api/session', ['email' => 'nobody@quillhaven.example', 'password' => 'x'])['status']);
        $this->assertSame($before, $sessions());
        $this->assertSame(419, $client->post('/api/session', ['email' => 'nobody@quillhaven.example', 'password' => 'x'], false)['status'], 'Another site\'s page cannot send the header.');
        $client->post('/api/session', ['email' => 'member@quillhaven.example', 'password' => DemoSeeder::PASSWORD]);
        $this->assertSame($before + 1, $sessions());
        $this->assertStringContainsString('Max-Age=0', $client->delete('/api/session')['headers']);
        $this->assertSame($before, $sessions(), 'Who signs out takes it along.');
    }

    public function test_another_name_than_its_own_leads_nowhere(): void
    {
        $asked = curl_init($this->url().'/api/session');
        assert($asked !== false);
        curl_setopt_array($asked, [CURLOPT_RETURNTRANSFER => true, CURLOPT_HTTPHEADER => ['Host: evil.example']]);
        $this->assertStringNotContainsString('csrf', (string) curl_exec($asked));
        $this->assertSame(421, curl_getinfo($asked, CURLINFO_RESPONSE_CODE));
        foreach (['127.0.0.1:9' => 421, '127.0.0.1' => 421, 'localhost:'.parse_url($this->url(), PHP_URL_PORT) => 200] as $host => $status) {
            curl_setopt($asked, CURLOPT_HTTPHEADER, ["Host: {$host}"]);
            curl_exec($asked);
            $this->assertSame($status, curl_getinfo($asked, CURLINFO_RESPONSE_CODE), "Also another port is not its own: {$host}");
        }
    }

    public function test_hundreds_of_half_sent_requests_hold_nobody_up(): void
    {
        $client = $this->signIn('keeper');
        $address = 'tcp://127.0.0.1:'.parse_url($this->url(), PHP_URL_PORT);
        $open = [];
        for ($number = 0; $number < 600; $number++) {
            $socket = stream_socket_client($address, timeout: 5);
            $this->assertIsResource($socket, "connection {$number}");
            fwrite($socket, "GET /api/today HTTP/1.1\r\nHost: 127.0.0.1");
            $open[] = $socket;
        }
        $from = microtime(true);
        $this->assertSame(200, $client->get('/api/today')['status']);
        $this->assertLessThan(2.0, microtime(true) - $from);
        array_map(fclose(...), $open);
    }

    public function test_sixty_sign_ins_at_once_wait_in_a_pool_of_their_own(): void
    {
        $client = $this->signIn('keeper');
        $together = curl_multi_init();
        $asked = [];
        for ($number = 0; $number < 60; $number++) {
            $one = curl_init($this->url().'/api/session');
            assert($one !== false);
            curl_setopt_array($one, [CURLOPT_RETURNTRANSFER => true, CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json', 'X-CSRF-TOKEN: x'],
                CURLOPT_POSTFIELDS => json_encode(['email' => "nobody{$number}@tarn.example", 'password' => 'no such password'])]);
            curl_multi_add_handle($together, $one);
            $asked[] = $one;
        }
        $most = 0;
        do {
            curl_multi_exec($together, $running);
            $most = max($most, (int) shell_exec('pgrep -fc "php-fpm: pool sign-in" 2>/dev/null'));
            $from = microtime(true);
            $this->assertSame(200, $client->get('/api/today')['status']);
            $this->assertLessThan(2.0, microtime(true) - $from, 'Who is signed in is not held up.');
            curl_multi_select($together, 0.01);
        } while ($running > 0);
        foreach ($asked as $one) {
            $this->assertContains(curl_getinfo($one, CURLINFO_RESPONSE_CODE), [419, 422, 429]);
        }
        $this->assertGreaterThan(0, $most, 'They are answered there.');
    }

    public function test_what_the_web_server_says_by_itself_carries_the_headers_too(): void
    {
        foreach (['/build/no-such-file.js' => 404, '/index.php' => 404] as $path => $status) {
            $asked = curl_init($this->url().$path);
            assert($asked !== false);
            curl_setopt_array($asked, [CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true]);
            $answer = strtolower((string) curl_exec($asked));
            $this->assertSame($status, curl_getinfo($asked, CURLINFO_RESPONSE_CODE), $path);
            $this->assertStringContainsString('x-content-type-options: nosniff', $answer, $path);
            $this->assertStringContainsString('x-frame-options: deny', $answer, $path);
        }
        $headers = strtolower($this->signIn('keeper')->get('/api/session')['headers']);
        foreach (['x-content-type-options', 'x-frame-options', 'referrer-policy'] as $name) {
            $this->assertSame(1, substr_count($headers, "{$name}:"), "{$name} once");
        }
    }

    public function test_reading_commands_make_no_instance_and_say_what_runs(): void
    {
        $status = json_decode($this->instance('status_json'), true);
        $this->assertSame(array_fill_keys(['nginx', 'fpm', 'worker', 'clock', 'follower', 'db'], true), $status['runs']);
        $this->assertSame($this->url(), $status['url']);
        $this->assertStringContainsString('.log', $this->instance('say_logs'));
        [$exit, $said] = \Tests\Support\OnInstance::run('own-nowhere', 'need_instance');
        $this->assertSame([64, true], [$exit, str_contains(implode(' ', $said), 'There is nothing in')]);
        $this->assertDirectoryDoesNotExist(dirname($this->var()).'/own-nowhere');
    }

    public function test_a_request_without_the_token_changes_nothing(): void
    {
        $client = $this->signIn('keeper');
        $answer = $client->post('/api/kits/QH-01/judgement', ['rows' => []], false);
        $this->assertSame([419, 'The session has ended'], [$answer['status'], $answer['body']['title']]);
        $this->assertSame(200, $client->post('/api/kits/QH-01/judgement', ['rows' => []])['status']);
    }

    public function test_what_was_read_is_not_kept_by_the_browser_and_errors_tell_no_secrets(): void
    {
        $client = $this->signIn('member');
        $this->assertStringContainsString('no-store', strtolower($client->get('/api/today')['headers']));
        foreach (['/.env', '/composer.json', '/storage/logs/sarcina.log'] as $path) {
            $body = (string) file_get_contents($this->url().$path);
            $this->assertStringNotContainsString('APP_KEY', $body);
            $this->assertStringNotContainsString('laravel/framework', $body);
        }
    }

    public function test_server_and_database_listen_on_loopback_only(): void
    {
        $listening = [];
        foreach (['/proc/net/tcp', '/proc/net/tcp6'] as $table) {
            foreach (array_slice(file($table) ?: [], 1) as $line) {
                $columns = preg_split('/\s+/', trim($line)) ?: [];
                if ($columns[3] === '0A') {
                    [$address, $port] = explode(':', $columns[1]);
                    $listening[hexdec($port)][] = $address;
                }
            }
        }
        foreach ([(int) parse_url($this->url(), PHP_URL_PORT), (int) file_get_contents($this->var().'/db.port')] as $port) {
            $this->assertSame(['0100007F'], $listening[$port] ?? [], "Port {$port} must listen on 127.0.0.1 and nowhere else.");
        }
    }

    public function test_it_can_be_installed_and_what_keeps_it_is_always_the_latest(): void
    {
        $manifest = $this->fetch('/manifest.webmanifest');
        $this->assertStringContainsString('Content-Type: application/manifest+json', $manifest);
        $about = json_decode(substr($manifest, (int) strpos($manifest, "\r\n\r\n") + 4), true);
        $this->assertSame(['/', 'standalone'], [$about['start_url'], $about['display']]);
        foreach ($about['icons'] as $icon) {
            $this->assertStringContainsString('Content-Type: image/png', $this->fetch($icon['src']));
        }
        $this->assertContains('192x192', array_column($about['icons'], 'sizes'));
        $this->assertContains('512x512', array_column($about['icons'], 'sizes'));
        $worker = $this->fetch('/sw.js');
        $this->assertStringContainsString('Cache-Control: no-cache', $worker);
        foreach (json_decode((string) file_get_contents(dirname(__DIR__, 2).'/public/build/manifest.json'), true) as $part) {
            $this->assertStringContainsString("/build/{$part['file']}", $worker, 'Every part is fetched ahead.');
        }
    }

    private function fetch(string $path): string
    {
        $request = curl_init($this->url().$path);
        assert($request !== false);
        curl_setopt_array($request, [CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true]);
        $answer = (string) curl_exec($request);
        $this->assertSame(200, curl_getinfo($request, CURLINFO_RESPONSE_CODE), $path);

        return $answer;
    }

    public function test_the_first_load_is_light(): void
    {
        $manifest = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/public/build/manifest.json'), true);
        $load = function (string $name, array &$files) use (&$load, $manifest): void {
            $files[$manifest[$name]['file']] = true;
            foreach ($manifest[$name]['imports'] ?? [] as $import) {
                $load($import, $files);
            }
        };
        $files = [];
        $load('resources/js/main.tsx', $files);
        $bytes = array_sum(array_map(
            static fn (string $file): int => strlen((string) gzencode((string) file_get_contents(dirname(__DIR__, 2)."/public/build/{$file}"), 6)),
            array_keys($files),
        ));
        $this->assertLessThanOrEqual(200_000, $bytes);
        $this->assertArrayHasKey('resources/js/check/CheckPage.tsx', $manifest, 'The check is a part of its own.');
        $this->assertArrayNotHasKey($manifest['resources/js/check/CheckPage.tsx']['file'], $files);
    }
}
