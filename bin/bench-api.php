<?php

declare(strict_types=1);

/*
 * What Today, a kit, the running verdict, finishing a check and the dates ahead cost, as multiples of the floor request of the same stack
 * (session, sign-in, one row by its key). All are asked in turn, so that the machine's moods fall on each alike; medians count.
 */

use Tests\Served\Client;

require __DIR__.'/../vendor/autoload.php';

const ROUNDS = 60;

$client = new Client($argv[1]);
$client->post('/api/session', ['email' => 'keeper@quillhaven.example', 'password' => 'lantern-walk-2026']);
$code = 'QH-16';
$kit = $client->get("/api/kits/{$code}")['body'];
$rows = array_map(static fn (array $row): array => array_intersect_key($row, array_flip(['pocket_id', 'item', 'lot', 'expires', 'quantity', 'condition'])), $kit['contents']);

$finish = function (int $round) use ($client, $code, $rows): array {
    // One count differs each time, so that the ledger is written too.
    $kit = $client->get("/api/kits/{$code}")['body'];
    $rows[0]['quantity'] = 5 + $round % 2;

    return ['PUT', '/api/checks/'.strtolower((string) new Symfony\Component\Uid\Ulid), [
        'answered' => array_column($kit['verdict']['lines'], 'code'),
        'kit' => $code, 'kind' => 'full', 'begun_at' => gmdate('Y-m-d\TH:i:s\Z'), 'base' => $kit['base'], 'signed' => 'Bench', 'signed_because' => 'Measured', 'rows' => $rows,
    ]];
};
$asked = [
    'floor' => static fn (int $round): array => ['GET', '/api/floor', null],
    'Today' => static fn (int $round): array => ['GET', '/api/today', null],
    'kit' => static fn (int $round): array => ['GET', "/api/kits/{$code}", null],
    'running verdict' => static fn (int $round): array => ['POST', "/api/kits/{$code}/judgement", ['rows' => $rows]],
    'finish check' => $finish,
    'dates ahead' => static fn (int $round): array => ['GET', '/api/dates-ahead', null],
];
$times = [];
for ($round = -5; $round < ROUNDS; $round++) {
    foreach ($asked as $name => $request) {
        [$method, $path, $body] = $request($round + 10);
        $curl = $client->request($method, $path, $body);
        $content = (string) curl_exec($curl);
        if (curl_getinfo($curl, CURLINFO_RESPONSE_CODE) !== 200) {
            fwrite(STDERR, "{$name}: {$content}\n");
            exit(1);
        }
        if ($round >= 0) {
            $times[$name][] = curl_getinfo($curl, CURLINFO_TOTAL_TIME) * 1000;
        }
        $client->finish($curl, $content);
    }
}
$median = array_map(static function (array $all): float {
    sort($all);

    return $all[intdiv(count($all), 2)];
}, $times);
$aims = ['Today' => 2.0, 'kit' => 2.5, 'running verdict' => 2.5, 'finish check' => 4.0];
foreach ($median as $name => $milliseconds) {
    printf("%-16s %5.2f × floor%s   (median of %d: %.1f ms)\n", $name, $milliseconds / $median['floor'], isset($aims[$name]) ? ", aim at most {$aims[$name]}" : '', ROUNDS, $milliseconds);
}
