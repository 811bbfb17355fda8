<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

/** The fields of a section in the document: its public properties, in their order, under their names there. */
trait Fields
{
    /** @return array<string, mixed> what it holds may be sections and enums, which say themselves how they are written */
    public function jsonSerialize(): array
    {
        $fields = [];
        /** @var array<string, mixed> $properties */
        $properties = get_object_vars($this);
        foreach ($properties as $property => $value) {
            $fields[FieldName::of($property)] = $value;
        }

        return $fields;
    }
}
