<?php

declare(strict_types=1);

use Nasturtium\Core\Reading\KnownNotes;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\Document\FieldName;
use Nasturtium\Core\Report\Document\JsonSchema;
use Nasturtium\Core\Report\ReportDocument;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Piece;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Tests\RandomPiece;

/*
 * The document of a breakdown, its schema and its page in docs/ say the same.
 */

/** @return array<string, mixed> what the schema does not allow in the report of a piece, by place */
function against_the_schema(Piece $piece, Settings $settings): array
{
    static $schema = null;
    $schema ??= json_encode(JsonSchema::document(), JSON_THROW_ON_ERROR);
    $report = json_decode(json_encode(ReportDocument::of(Breakdown::of($piece, $settings)), JSON_THROW_ON_ERROR));
    $error = (new Validator())->validate($report, $schema)->error();

    return $error === null ? [] : (new ErrorFormatter())->format($error);
}

test('reports of pages of every kind are as the schema says', function (): void {
    $known = new Settings(known: KnownNotes::of(['C4', 'E4']));
    foreach (['R: @c4 q1 2 3 4 | w5', "time: 3/4\nR: @c4 q3 | q1 2 3\nL: @5=c3 / h.5", "notation: fingers\nR: @c4 q1 2 3 4"] as $tune) {
        expect(against_the_schema(tune("{$tune}\n"), $known))->toBe([], $tune);
    }
    for ($seed = 1; $seed <= 30; $seed++) {
        expect(against_the_schema(RandomPiece::of($seed), new Settings()))->toBe([], "seed {$seed}");
    }
});

test('the schema refuses a field that is not there, one too many, and a word of another set', function (Closure $change): void {
    $report = document(Breakdown::of(tune("R: @c4 q1 2 3 4\n"), new Settings()));
    $valid = fn (array $one): bool => (new Validator())->validate(json_decode(json_encode($one)), json_encode(JsonSchema::document()))->isValid();
    expect($valid($report))->toBeTrue()->and($valid($change($report)))->toBeFalse();
})->with([
    'a field is missing' => [fn (array $report): array => array_diff_key($report, ['checks' => 1])],
    'a field too many' => [fn (array $report): array => [...$report, 'more' => 1]],
    'a hand that nobody has' => [fn (array $report): array => array_replace_recursive($report, ['events' => [['hand' => 'X']]])],
    'a number for a word' => [fn (array $report): array => array_replace_recursive($report, ['piece' => ['time' => 4]])],
]);

test('names of fields are those of the properties in small letters', function (string $property, string $field): void {
    expect(FieldName::of($property))->toBe($field);
})->with([['playOrder', 'play_order'], ['R', 'R'], ['fingerFrom', 'finger_from'], ['do', 'do']]);
