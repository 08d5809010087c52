<?php

declare(strict_types=1);

namespace App\Lists;

use App\Catalogue\Catalogue;
use App\Catalogue\Classes;
use App\Catalogue\NeverFor;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Format\KitDocument;
use Sarcina\Core\Format\KitReader;

/** Refuses what no kit could be held to: classes that are none, items that the catalogue lacks, and what the core refuses. */
final class UnsoundList
{
    public function __construct(private readonly Catalogue $catalogue, private readonly NeverFor $neverFor)
    {
    }

    /**
     * @param  string  $lines  what the lines are called where they were sent
     *
     * @throws ValidationException at each line that the core refuses
     */
    public function refuse(ListContent $content, string $field, string $lines = 'lines'): void
    {
        $errors = [];
        $codes = [];
        foreach ($content->excludes as $index => $class) {
            if (preg_match(Classes::PATTERN, $class) !== 1) {
                $errors["{$field}excludes.{$index}"][] = "\"{$class}\" is no class. Write it in small letters with dots, such as medicine.oral.";
            }
        }
        foreach ($content->lines as $index => $line) {
            foreach ($line->accepts as $place => $entry) {
                $at = "{$field}{$lines}.{$index}.accepts.{$place}";
                if ($entry->item !== null) {
                    $codes[] = $entry->item;
                    if ($this->catalogue->item($entry->item) === null) {
                        $errors["{$at}.item"][] = "There is no item \"{$entry->item}\" in the catalogue. Add it there first, or choose another.";
                    }
                } elseif (preg_match(Classes::PATTERN, (string) $entry->class) !== 1) {
                    $errors["{$at}.class"][] = 'Write the class in small letters with dots, such as dressing.sterile.';
                }
            }
        }
        if ($errors === []) {
            $errors = $this->refusedByTheCore($content, array_values(array_unique($codes)), $field, $lines);
        }
        if ($errors === []) {
            foreach ($content->lines as $index => $line) {
                foreach ($this->neverFor->faultsOf($line->accepts) as $place => $fault) {
                    $key = $line->accepts[$place]->item === null ? 'class' : 'item';
                    $errors["{$field}{$lines}.{$index}.accepts.{$place}.{$key}"][] = $fault;
                }
            }
        }
        if ($errors !== []) {
            throw ValidationException::withMessages($errors);
        }
    }

    /**
     * The list as a kit would be held to it: what the core refuses there, it refuses here.
     *
     * @param  list<string>  $codes
     * @return array<string, list<string>>
     */
    private function refusedByTheCore(ListContent $content, array $codes, string $field, string $lines): array
    {
        try {
            KitReader::read(Json::read(Json::write([
                'format' => KitReader::FORMAT, 'as_of' => '2000-01-01', 'kit' => ['code' => 'new'],
                'policy' => ['expiry' => 'strict', 'next_check' => '2000-01-01'],
                'items' => array_map(KitDocument::item(...), array_values($this->catalogue->items($codes))),
                'list' => [
                    'code' => 'new', 'excludes' => $content->excludes,
                    'lines' => array_map(static fn (LineContent $line): array => $line->asked(), $content->lines),
                ],
                'contents' => [],
            ])));
        } catch (InvalidDocument $refused) {
            $errors = [];
            foreach ($refused->problems as $problem) {
                $path = preg_replace(['#^/list/#', '#^lines#'], ['', $lines], $problem->path) ?? '';
                $errors[$field.str_replace('/', '.', $path)][] = $problem->message;
            }

            return $errors;
        }

        return [];
    }
}
