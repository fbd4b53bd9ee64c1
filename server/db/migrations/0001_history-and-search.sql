CREATE TRIGGER journal_is_not_changed BEFORE UPDATE ON journal
BEGIN SELECT RAISE(ABORT, 'The history is append-only: an entry cannot be changed.'); END;
--> statement-breakpoint
CREATE TRIGGER journal_is_not_shortened BEFORE DELETE ON journal
BEGIN SELECT RAISE(ABORT, 'The history is append-only: an entry cannot be removed.'); END;
--> statement-breakpoint
CREATE VIRTUAL TABLE machine_search USING fts5(tag, names, claims, notes, faults, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');
