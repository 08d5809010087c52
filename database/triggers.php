<?php

declare(strict_types=1);

/*
 * Lists every trigger of the database by name: timing, event, table and statement. `database:triggers` makes missing ones at each start and
 * after a restore; `ledger:verify` names differences. A migration that adds a trigger adds it here too.
 */

$triggers = [];

// The record is never changed or removed.
foreach (\App\Ledger\Part::allKeptTables() as $table) {
    foreach (['UPDATE', 'DELETE'] as $event) {
        $triggers[$table.'_no_'.strtolower($event)] = ['BEFORE', $event, $table,
            "SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was recorded in {$table} is never changed; record a correction.'"];
    }
}

// A published design and a confirmed list never change. ROW stands for the row before or after the change.
$ofDesign = '(SELECT published_at FROM design_editions WHERE id = ROW.design_edition_id)';
$ofList = '(SELECT confirmed_at FROM lists WHERE id = ROW.list_id)';
$published = [
    'compartments' => $ofDesign,
    'configurations' => $ofDesign,
    'configuration_parts' => '(SELECT published_at FROM configurations JOIN design_editions ON design_editions.id = configurations.design_edition_id '
        .'WHERE configurations.id = ROW.configuration_id)',
    'design_modules' => $ofDesign,
    'design_seasons' => $ofDesign,
    'lines' => $ofDesign,
    'line_entries' => '(SELECT published_at FROM `lines` JOIN design_editions ON design_editions.id = `lines`.design_edition_id '
        .'WHERE `lines`.id = ROW.line_id)',
    'line_entry_limits' => '(SELECT published_at FROM line_entries JOIN `lines` ON `lines`.id = line_entries.line_id '
        .'JOIN design_editions ON design_editions.id = `lines`.design_edition_id WHERE line_entries.id = ROW.line_entry_id)',
    'looked_for' => $ofDesign,
    'placements' => $ofDesign,
    'set_aside' => $ofDesign,
];
$confirmed = [
    'lines' => $ofList,
    'line_confirmations' => $ofList,
    'line_entries' => '(SELECT lists.confirmed_at FROM `lines` JOIN lists ON lists.id = `lines`.list_id WHERE `lines`.id = ROW.line_id)',
    'line_entry_limits' => '(SELECT lists.confirmed_at FROM line_entries JOIN `lines` ON `lines`.id = line_entries.line_id '
        .'JOIN lists ON lists.id = `lines`.list_id WHERE line_entries.id = ROW.line_entry_id)',
    'list_exclusions' => $ofList,
];
$kept = [
    ['published_kept', 'A published edition of a design never changes; make the next one.', $published],
    ['confirmed_kept', 'A confirmed edition never changes; make a new edition.', $confirmed],
];
foreach ($kept as [$ending, $message, $tables]) {
    foreach ($tables as $table => $when) {
        $before = str_replace('ROW.', 'OLD.', $when).' IS NOT NULL';
        $after = str_replace('ROW.', 'NEW.', $when).' IS NOT NULL';
        foreach (['INSERT' => $after, 'UPDATE' => "{$before} OR {$after}", 'DELETE' => $before] as $event => $is) {
            $name = $table === 'line_entry_limits' ? 'line_entry_minima' : $table;
            $triggers["{$name}_{$ending}_".strtolower($event)] = ['BEFORE', $event, $table,
                "IF {$is} THEN SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = '{$message}'; END IF"];
        }
    }
}
foreach (['UPDATE', 'DELETE'] as $event) {
    $triggers['design_editions_kept_'.strtolower($event)] = ['BEFORE', $event, 'design_editions',
        "IF OLD.published_at IS NOT NULL THEN SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = '{$kept[0][1]}'; END IF"];
    $triggers['lists_kept_'.strtolower($event)] = ['BEFORE', $event, 'lists',
        "IF OLD.confirmed_at IS NOT NULL THEN SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = '{$kept[1][1]}'; END IF"];
}

// Counts of kits by status, and the history of each kit's status.
$count = static fn (string $row, string $kits): string => 'INSERT INTO state_counts (verdict, band, overdue_from, kits) '
    ."VALUES ({$row}.verdict, {$row}.band, {$row}.overdue_from, {$kits})";
$history = static fn (string $values): string => "INSERT INTO kit_status_history (kit_id, changed_at, day, verdict, due_on) VALUES ({$values})";
$now = $history('NEW.kit_id, UTC_TIMESTAMP(), NEW.judged_for, NEW.verdict, NEW.due_on');

return $triggers + [
    'kit_states_counted_in' => ['AFTER', 'INSERT', 'kit_states', $count('NEW', '1')],
    'kit_states_counted_out' => ['AFTER', 'DELETE', 'kit_states', $count('OLD', '-1')],
    'kit_states_counted_again' => ['AFTER', 'UPDATE', 'kit_states',
        'IF OLD.verdict <> NEW.verdict OR OLD.band <> NEW.band OR NOT OLD.overdue_from <=> NEW.overdue_from THEN '
            ."{$count('OLD', '-1')}; {$count('NEW', '1')}; END IF"],
    'kit_states_history_in' => ['AFTER', 'INSERT', 'kit_states', $now],
    'kit_states_history_out' => ['AFTER', 'DELETE', 'kit_states', $history('OLD.kit_id, UTC_TIMESTAMP(), UTC_DATE(), NULL, NULL')],
    'kit_states_history' => ['AFTER', 'UPDATE', 'kit_states', "IF OLD.verdict <> NEW.verdict OR NOT OLD.due_on <=> NEW.due_on THEN {$now}; END IF"],
];
