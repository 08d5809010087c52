<?php

declare(strict_types=1);

/*
 * How many kits the core judges in a second: kits of 45 lines and 60 rows, each with lots, dates, classes, companions and reserve.
 * Judging alone, and the whole way from a JSON document to its verdict as JSON.
 */

use Sarcina\Core\Check\Judge;
use Sarcina\Core\Format\CopeReader;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Format\KitReader;
use Sarcina\Core\Rule;

require __DIR__.'/../vendor/autoload.php';

const SECONDS = 4.0;

/** @return list<string> documents */
function kits(): array
{
    $documents = [];
    for ($kit = 0; $kit < 20; $kit++) {
        $items = $lines = $contents = [];
        for ($item = 0; $item < 50; $item++) {
            $items[] = [
                'code' => "item-{$item}", 'class' => 'class-'.($item % 9).'.part-'.($item % 3), 'dated' => $item % 2 === 0, 'mass_g' => 20,
                'size' => ['width' => (5 + $item % 10).' cm', 'height' => (6 + ($item + $kit) % 7).' cm'],
                'needs' => $item % 7 === 0 ? [['any_of' => ['item-3', 'item-4'], 'per' => 'kit', 'quantity' => 1]] : [],
            ];
        }
        for ($line = 0; $line < 45; $line++) {
            $accepts = [['item' => "item-{$line}"]];
            if ($line % 4 === 0) {
                $accepts[] = ['class' => 'class-'.($line % 9), 'min' => ['width' => '7 cm', 'height' => '8 cm']];
            }
            $lines[] = ['id' => "L{$line}", 'quantity' => 1 + ($line + $kit) % 6, 'rank' => ['critical', 'required', 'optional'][$line % 3], 'accepts' => $accepts];
        }
        for ($row = 0; $row < 60; $row++) {
            $contents[] = [
                'pocket' => 'main', 'item' => 'item-'.($row % 50), 'lot' => "K{$row}", 'expires' => $row % 50 % 2 === 0 ? ['2027-03', '2026-01', '2026-05'][($row + $kit) % 3] : null,
                'quantity' => 1 + $row % 5,
            ];
        }
        $documents[] = Json::write([
            'format' => KitReader::FORMAT, 'as_of' => '2026-03-14', 'kit' => ['code' => "K-{$kit}"],
            'policy' => ['expiry' => 'reserve', 'next_check' => '2026-06-14', 'margin_days' => 14],
            'items' => $items, 'list' => ['code' => 'made', 'lines' => $lines], 'contents' => $contents,
        ]);
    }

    return $documents;
}

/** @param  callable(int): mixed  $do */
function perSecond(callable $do): float
{
    for ($warm = 0; $warm < 60; $warm++) {
        $do($warm);
    }
    $from = hrtime(true);
    for ($count = 0; (hrtime(true) - $from) / 1e9 < SECONDS; $count++) {
        $do($count);
    }

    return $count / ((hrtime(true) - $from) / 1e9);
}

$documents = kits();
$read = array_map(static fn (string $document) => KitReader::read(Json::read($document)), $documents);
$judged = perSecond(static fn (int $turn) => Judge::judge($read[$turn % 20]));
$whole = perSecond(static fn (int $turn) => Rule::Check->answer($documents[$turn % 20]));
printf("judged, once read:            %5.0f kits a second (aim 500: %.2f of it)\n", $judged, $judged / 500);
$emergencies = array_map(static fn (int $code): array => ['code' => "e{$code}", 'needs' => array_map(static fn (int $need): array => [
    'id' => "n{$need}", 'quantity' => 1 + $need % 3, 'reusable' => $need === 4,
    'accepts' => $need % 2 === 0 ? [['item' => 'item-'.($code + $need) % 50], ['item' => 'item-'.($code + 2 * $need) % 50]] : [['class' => 'class-'.($code + $need) % 9]],
], range(0, 4))], range(1, 200));
$kit = json_decode($documents[0], true);
[$cope, $asked] = CopeReader::read(Json::read(Json::write([
    'format' => CopeReader::FORMAT, 'as_of' => $kit['as_of'], 'kit' => (object) [], 'emergencies' => $emergencies, 'contents' => $kit['contents'],
    'items' => array_map(static fn (array $item): array => array_diff_key($item, ['needs' => 0]) + ['size' => (object) $item['size']], $kit['items']),
])));
$coped = perSecond(static fn (int $turn) => CopeReader::answer($cope, $asked));
printf("200 emergencies, 60 rows:     %5.1f ms (aim 50: %.2f of it)\n", 1000 / $coped, 1000 / $coped / 50);
printf("from document to verdict:     %5.0f kits a second (%.2f of judging alone)\n", $whole, $whole / $judged);
