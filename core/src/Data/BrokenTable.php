<?php

declare(strict_types=1);

namespace Ironwort\Core\Data;

/** A shipped data table cannot be read: a mistake in the installation, never the keeper's. */
final class BrokenTable extends \RuntimeException {}
