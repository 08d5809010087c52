<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Cope\Cope;
use Sarcina\Core\Cope\Coping;
use Sarcina\Core\Cope\Emergency;
use Sarcina\Core\Cope\Need;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Kit\Kit;
use Sarcina\Core\Kit\Policy;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Lists\KitList;

/** Reads a `sarcina.cope/1` document and writes its answer, `sarcina.coping/1` (rules.md, cope). */
final class CopeReader
{
    public const FORMAT = 'sarcina.cope/1';

    public const ANSWER = 'sarcina.coping/1';

    /**
     * @return array{Cope, list<Emergency>}
     *
     * @throws InvalidDocument with every error that was found and its path
     */
    public static function read(mixed $document): array
    {
        $root = Reader::of($document)->object(['format', 'as_of', 'kit', 'items', 'contents', 'emergencies'], ['excludes']);
        $root->field('format')->format(self::FORMAT);
        $asOf = $root->field('as_of')->day();
        $kit = $root->field('kit')->object([], ['scope']);
        $excludes = array_map(static fn (Reader $class): ItemClass => new ItemClass($class->text()), $root->field('excludes')->entries());
        $refused = $root->refused();
        [$items, $rows] = KitReader::itemsAndContents($root->field('items'), $root->field('contents'), $asOf);
        $forAnyone = $root->refused() > $refused ? [] : array_keys(array_filter(array_map(
            static fn (Reader $row): bool => $row->field('anyone_may_use')->flag(false), $root->field('contents')->entries(),
        )));
        $emergencies = self::emergencies($root->field('emergencies'));
        $scope = $kit->field('scope')->choice(Scope::Anyone);
        $root->finish();
        // What counts is what `check` counts, of a kit without lines and under policy strict.
        $assignment = new Assignment(
            $asOf, new Kit('', $scope, null, 0), new Policy(ExpiryPolicy::Strict, $asOf, 0), $items, new KitList('', [], $excludes), $rows,
        );

        return [new Cope($assignment, $forAnyone), $emergencies];
    }

    /**
     * @param  list<Emergency>  $emergencies
     * @return array{format: string, emergencies: list<array<string, mixed>>}
     */
    public static function answer(Cope $cope, array $emergencies): array
    {
        return ['format' => self::ANSWER, 'emergencies' => array_map(static function (Emergency $emergency) use ($cope): array {
            $coping = $cope->with($emergency);

            return self::document($coping);
        }, $emergencies)];
    }

    /** @return array{code: string, casualties: int, because: string|null, limited_by: list<string>} */
    private static function document(Coping $coping): array
    {
        return [
            'code' => $coping->code, 'casualties' => $coping->casualties, 'because' => $coping->because, 'limited_by' => $coping->limitedBy,
        ];
    }

    /** @return list<Emergency> */
    public static function emergencies(Reader $emergencies): array
    {
        $read = [];
        $seen = [];
        foreach ($emergencies->entries() as $place) {
            if (! $place->object(['code', 'needs'], ['scope'])->isObject()) {
                continue;
            }
            $code = $place->field('code')->textOnce($seen);
            $scope = $place->field('scope')->choice(Scope::Anyone);
            $refused = $place->refused();
            $needs = self::needs($place->field('needs'));
            $isSound = $place->refused() === $refused;
            if ($isSound && $needs !== [] && array_filter($needs, static fn (Need $need): bool => ! $need->isReusable) === []) {
                $place->field('needs')->refuse('At least one need is used up: else any number of casualties could be dealt with.');
            }
            if ($needs !== []) {
                $read[] = new Emergency($code, $scope, $needs);
            }
        }

        return $read;
    }

    /** @return list<Need> */
    private static function needs(Reader $needs): array
    {
        $read = [];
        $seen = [];
        foreach ($needs->entries(false) as $need) {
            if (! $need->object(['id', 'quantity', 'accepts'], ['reusable'])->isObject()) {
                continue;
            }
            $read[] = new Need(
                $need->field('id')->textOnce($seen), $need->field('quantity')->wholeNumber(1), $need->field('reusable')->flag(false),
                ListReader::accepts($need->field('accepts')),
            );
        }

        return $read;
    }
}
