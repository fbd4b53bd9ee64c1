ALTER TABLE `journal` ADD `digest` text;--> statement-breakpoint
DROP TRIGGER journal_is_not_changed;
--> statement-breakpoint
CREATE TRIGGER journal_is_not_changed BEFORE UPDATE ON journal
WHEN NEW.digest IS NULL OR NEW.id <> OLD.id OR NEW.chain <> OLD.chain OR NEW.seq <> OLD.seq OR NEW.kind <> OLD.kind OR NEW.at <> OLD.at
  OR NEW.previous_hash <> OLD.previous_hash OR NEW.hash <> OLD.hash OR (OLD.digest IS NOT NULL AND NEW.digest <> OLD.digest)
BEGIN SELECT RAISE(ABORT, 'The history is append-only: an entry cannot be changed.'); END;
