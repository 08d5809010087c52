<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Check\Whole;

/** Reads and writes a `sarcina.whole/1` document, and writes its answer (rules.md, whole). */
final class WholeDocument
{
    public const FORMAT = 'sarcina.whole/1';

    /**
     * @return non-empty-list<Assignment>
     *
     * @throws InvalidDocument with every error that was found and its path
     */
    public static function read(mixed $document): array
    {
        $root = Reader::of($document)->object(['format', 'documents']);
        $root->field('format')->format(self::FORMAT);
        $documents = [];
        $day = null;
        foreach ($root->field('documents')->entries(false) as $entry) {
            if (! $entry->mustBeObject()) {
                continue;
            }
            $one = KitReader::part($entry);
            $day ??= $one->asOf;
            if ($entry->field('as_of')->isGiven() && ! $one->asOf->equals($day)) {
                $entry->field('as_of')->refuse("All documents must be of one day, which is {$day} here.");
            }
            $documents[] = $one;
        }
        $root->finish();

        return $documents === [] ? throw InvalidDocument::because([new Problem('/documents', 'This must hold at least one entry.')]) : $documents;
    }

    /**
     * @param  non-empty-list<Assignment>  $documents
     * @return array{format: string, documents: list<array<string, mixed>>}
     */
    public static function of(array $documents): array
    {
        return ['format' => self::FORMAT, 'documents' => array_map(KitDocument::of(...), $documents)];
    }

    /** @return array{format: string, verdict: string, verdicts: list<string>, judged: int} */
    public static function answer(Whole $whole): array
    {
        return [
            'format' => 'sarcina.whole-verdict/1',
            'verdict' => $whole->verdict->value,
            'verdicts' => array_map(static fn (Judgement $one): string => $one->verdict->value, $whole->judgements),
            'judged' => $whole->judged,
        ];
    }
}
