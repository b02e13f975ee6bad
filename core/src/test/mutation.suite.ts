/** What is run against each mutant, in one file, so that the catalogue is loaded once a mutant and not once a suite. */
import '../gates/gates.test'
import '../gates/measures.test'
import '../log/log.test'
import '../log/propose.test'
import '../log/describe.test'
import '../log/amendments.test'
import '../lot/lineage.test'
import '../lot/lot.test'
