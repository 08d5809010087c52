<?php

declare(strict_types=1);

namespace Sarcina\Core;

use Sarcina\Core\Check\Judge;
use Sarcina\Core\Check\Whole;
use Sarcina\Core\Due\Due;
use Sarcina\Core\Format\AssessmentReader;
use Sarcina\Core\Format\CopeReader;
use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Format\KitReader;
use Sarcina\Core\Format\NextCheckDocument;
use Sarcina\Core\Format\ParReader;
use Sarcina\Core\Format\PickReader;
use Sarcina\Core\Format\ProvisionDocument;
use Sarcina\Core\Format\RotationReader;
use Sarcina\Core\Format\ScheduleReader;
use Sarcina\Core\Format\VerdictDocument;
use Sarcina\Core\Format\WholeDocument;

/** The rules that can be run by name, each from a document to a document. */
enum Rule: string
{
    case Check = 'check';
    case Whole = 'whole';
    case Due = 'due';
    case Pick = 'pick';
    case Provision = 'provision';
    case Cope = 'cope';
    case Par = 'par';
    case Rotate = 'rotate';

    /**
     * @param  string  $text  a JSON document in the rule's own format
     * @return array<string, mixed>
     *
     * @throws InvalidDocument
     */
    public function answer(string $text): array
    {
        $document = Json::read($text);

        return match ($this) {
            self::Check => VerdictDocument::of(Judge::judge(KitReader::read($document))),
            self::Whole => WholeDocument::answer(Whole::of(WholeDocument::read($document))),
            self::Due => NextCheckDocument::of(Due::next(ScheduleReader::read($document))),
            self::Pick => PickReader::answer(PickReader::read($document)),
            self::Cope => CopeReader::answer(...CopeReader::read($document)),
            self::Par => ParReader::answer(ParReader::read($document)),
            self::Rotate => RotationReader::answer(RotationReader::read($document)),
            self::Provision => ProvisionDocument::of(AssessmentReader::read($document)),
        };
    }
}
