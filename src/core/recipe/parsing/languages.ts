import de from '../../../../data/reading/de.json';
import en from '../../../../data/reading/en.json';
import es from '../../../../data/reading/es.json';
import fr from '../../../../data/reading/fr.json';
import hi from '../../../../data/reading/hi.json';
import it from '../../../../data/reading/it.json';
import pt from '../../../../data/reading/pt.json';

/** The words of each language that is read, under its code. */
export const LANGUAGES = { en, pt, es, fr, de, it, hi };
