<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

/** Writes XML element by element, indented. */
final readonly class XmlPen
{
    private \XMLWriter $xml;

    public function __construct()
    {
        $this->xml = new \XMLWriter();
        $this->xml->openMemory();
        $this->xml->setIndent(true);
        $this->xml->startDocument('1.0', 'UTF-8');
    }

    /** @param array<string, string> $attributes */
    public function open(string $name, array $attributes = []): void
    {
        $this->xml->startElement($name);
        foreach ($attributes as $attribute => $value) {
            $this->xml->writeAttribute($attribute, $value);
        }
    }

    public function close(int $levels = 1): void
    {
        for ($level = 0; $level < $levels; $level++) {
            $this->xml->endElement();
        }
    }

    /** @param array<string, string> $attributes */
    public function leaf(string $name, string $text = '', array $attributes = []): void
    {
        $this->open($name, $attributes);
        if ($text !== '') {
            // A pasted title may hold characters that XML has no place for.
            $this->xml->text(ctype_alnum($text) ? $text : (string) preg_replace('/[^\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]/u', '', $text));
        }
        $this->close();
    }

    /** @return string the document; nothing can be written after it */
    public function document(): string
    {
        $this->xml->endDocument();

        return $this->xml->outputMemory();
    }
}
