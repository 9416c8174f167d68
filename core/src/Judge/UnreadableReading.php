<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

/** What was typed cannot be a reading of this parameter; the message is for the field. */
final class UnreadableReading extends \RuntimeException {}
